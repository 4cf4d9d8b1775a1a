import type { PointKind, SitePoint } from '@kobran/core';
import type { KeyboardEvent, ReactNode } from 'react';
import { useDrag } from '../../ui/useDrag.js';
import type { PlacedLabel } from './labels.js';

/** How a kind of point is drawn, about its middle; filled ones stand on the ground. */
const marks: Record<PointKind, { d: string; filled?: boolean }> = {
  rack: { d: 'M-6 -7h12v14h-12zM-6 -2h12M-6 3h12' },
  entry: { d: 'M-7 -7h14v14h-14zM-3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0' },
  'box or pit': { d: 'M-7 -5h14v10h-14z' },
  'mast foot': { d: 'M-8 6h16L4 -4h-8z', filled: true },
  'mast point': { d: 'M-6 0h12M0 -6v12' },
  antenna: { d: 'M0 8V-2M-7 -8L0 -2L7 -8' },
  rod: { d: 'M0 -7V7M-5 -7h10' },
  'building electrode': { d: 'M-7 -4h14M-4.5 0h9M-2 4h4' },
  free: { d: 'M-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0' },
};

/** Longer names are cut; the list has them in full. */
const MAX_LETTERS = 20;
const LETTER_PX = 7.2;

/** A point’s name as it is drawn, and how many others lie under it in this view. */
export const nameIn = ({ name }: SitePoint, under: number): string =>
  `${name.length > MAX_LETTERS ? `${name.slice(0, MAX_LETTERS - 1)}…` : name}${under > 0 ? ` +${under}` : ''}`;

/** How much room a name takes, px. */
export const textWidth = (name: string): number => name.length * LETTER_PX;

/** A point which can be chosen, dragged, and moved by arrows. */
export function PointMark({
  point,
  x,
  y,
  what,
  label,
  selected,
  onSelect,
  onKeyDown,
  onDrag,
  onDrop,
  onCancel,
}: {
  point: SitePoint;
  x: number;
  y: number;
  what: string;
  /** Where its name stands; nothing where there is no room. */
  label: (PlacedLabel & { name: string }) | undefined;
  selected: boolean;
  onSelect: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
  /** Px from where it stood. */
  onDrag: (dx: number, dy: number) => void;
  onDrop: () => void;
  onCancel: () => void;
}): ReactNode {
  const drag = useDrag({ onDrag, onDrop, onCancel, onClick: onSelect });
  const { d, filled } = marks[point.kind];
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={what}
      aria-pressed={selected}
      transform={`translate(${x} ${y})`}
      className="cursor-grab touch-none outline-offset-4"
      // Chosen by a finger, it is chosen when the finger is off: nothing moves under it.
      onFocus={({ currentTarget }) => currentTarget.matches(':focus-visible') && onSelect()}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') onSelect();
        onKeyDown(event);
      }}
      {...drag}
    >
      <circle r={14} fill="transparent" />
      <path
        d={d}
        fill={filled ? 'var(--ink)' : 'var(--paper)'}
        stroke={selected ? 'var(--copper)' : 'var(--ink)'}
        strokeWidth={selected ? 3 : 1.6}
      />
      {label && (
        <text
          x={label.x - x}
          y={label.y - y}
          textAnchor={label.anchor}
          fontSize={13}
          fontWeight={selected ? 700 : 400}
          stroke="var(--paper)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {label.name}
        </text>
      )}
    </g>
  );
}
