import { formatFigure, formatSpread, type Figure } from '@kobran/core';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { usePreferences } from './Preferences.js';

/** A figure which answers for itself: press it for its spread and its source. */
export function FigureText({ figure, className = '' }: { figure: Figure; className?: string }): ReactNode {
  const { units } = usePreferences();
  const spread = formatSpread(figure, units);
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`figures underline decoration-rule decoration-dotted underline-offset-4 hover:decoration-ink ${className}`}
      >
        {formatFigure(figure, units)}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="z-20 max-w-72 rounded border border-edge bg-paper p-3 text-sm"
        >
          <p className="figures font-semibold">
            {formatFigure(figure, units)} {spread}
          </p>
          <p className="mt-1 text-muted">{figure.source}</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
