import type { Card } from '@kobran/core';
import type { ReactNode } from 'react';

/** All steps in a row, the present one marked, and where there is no way back. */
export function StepsRow({ card, at }: { card: Card; at: number }): ReactNode {
  return (
    <ol aria-label="Steps" className="mt-2 flex gap-1.5 pt-4">
      {card.steps.map(({ id, name }, k) => (
        <li key={id} aria-current={k === at ? 'step' : undefined} className="relative min-w-0 flex-1">
          {k === card.pointOfNoReturn && (
            <>
              <span className="absolute -top-4 -left-[4px] h-6 w-0.5 bg-stop" aria-hidden="true" />
              <span className="absolute -top-4.5 right-full mr-2 hidden text-sm whitespace-nowrap text-stop md:block">
                no way back →
              </span>
            </>
          )}
          <span className={`block h-1.5 ${k < at ? 'bg-ink' : k === at ? 'bg-muted' : 'bg-rule'}`} />
          <span className={`hidden truncate text-sm md:block ${k === at ? 'font-bold' : 'text-muted'}`}>
            {name}
          </span>
        </li>
      ))}
    </ol>
  );
}
