import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import type { RulerScale } from './scale.js';
import { rulerTicks } from './ticks.js';

/** The ruler itself: ticks end to end in the unit in use. */
export function Axis({
  scale,
  totalM,
  width,
}: {
  scale: RulerScale;
  totalM: number;
  width: number;
}): ReactNode {
  const { units } = usePreferences();
  const [fromM, toM] = scale.domain();
  const [first, last] = [Math.max(0, fromM), Math.min(totalM, toM)];
  return (
    <g stroke="var(--ink)">
      <path d={`M${scale(first)} 27.5H${scale(last)}`} />
      {rulerTicks(first, last, units, Math.max(2, Math.floor(width / 130))).map(({ atM, label }) => (
        <g key={atM}>
          <path d={`M${scale(atM)} 27.5v${label ? -9 : -5}`} />
          {label && (
            <text x={scale(atM)} y={14} fontSize={13} textAnchor="middle" stroke="none" className="figures">
              {label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
