import { formatFigure, type DripLoop } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';

const WIDTH = 250;
const HEIGHT = 120;
/** Of the half circle, px: drawn as large for every cable, its figures say how large it is. */
const RADIUS = 52;

/** The loop below a joint: the cable comes from the side, hangs, and rises into the joint; water drips off its lowest point. */
export function DripLoopDrawing({ loop }: { loop: DripLoop }): ReactNode {
  const { units } = usePreferences();
  const [left, top] = [24, 34];
  const right = left + 2 * RADIUS;
  const low = top + RADIUS;
  const depth = formatFigure(loop.depth, units);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      className="mt-2"
      role="img"
      aria-label={`Drip loop: the cable hangs ${depth} below the joint and rises into it; water drips off at the lowest point. It takes ${formatFigure(loop.extra, units)} more cable.`}
    >
      <path
        d={`M${left} 6V${top}A${RADIUS} ${RADIUS} 0 0 0 ${right} ${top}V24`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={7}
      />
      <rect x={right - 11} y={4} width={22} height={24} fill="var(--panel)" stroke="var(--ink)" />
      <path d={`M${left + RADIUS} ${low + 9}q-5 9 0 12q5 -3 0 -12`} fill="var(--lake)" stroke="var(--lake)" />
      <path
        d={`M${right + 22} ${top}H${right + 40}M${right + 22} ${low}H${right + 40}M${right + 31} ${top}V${low}`}
        stroke="var(--ink)"
      />
      <text
        x={right + 46}
        y={top + RADIUS / 2 + 5}
        fontSize={15}
        fontWeight={700}
        className="figures"
        fill="var(--ink)"
      >
        {depth}
      </text>
    </svg>
  );
}
