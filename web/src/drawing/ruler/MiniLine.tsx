import type { LineShape } from '@kobran/core';
import type { ReactNode } from 'react';
import { useWidth } from '../../ui/useWidth.js';
import { rulerScale } from './scale.js';

/** The run on a ruler of one line: zones below, joints as ticks. */
export function MiniLine({
  sheet,
  toM = sheet.totalM,
  marked = [],
}: {
  sheet: LineShape;
  /** How far the ruler goes, where two are compared. */
  toM?: number;
  /** Pieces which are pointed out. */
  marked?: readonly string[];
}): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  const scale = rulerScale(toM, width);
  const { spans } = sheet.route;
  return (
    <div ref={ref} className="my-1 h-6">
      {width > 0 && (
        <svg width={width} height={24} aria-hidden="true" className="-ml-3.5">
          {spans.map(({ fromM, toM, zone }, k) => (
            <rect
              key={k}
              x={scale(fromM)}
              y={4}
              width={Math.max(
                0,
                scale(k === spans.length - 1 ? sheet.totalM : Math.min(toM, sheet.totalM)) - scale(fromM),
              )}
              height={16}
              fill={`var(--zone-${zone})`}
            />
          ))}
          {sheet.pieces.map(({ id, fromM, toM, kind }) => (
            <path
              key={id}
              d={`M${scale(fromM)} 12H${Math.max(scale(toM), scale(fromM) + 3)}`}
              stroke={
                marked.includes(id) ? 'var(--copper)' : kind === 'assembly' ? 'var(--ink)' : 'var(--edge)'
              }
              strokeWidth={kind === 'assembly' ? (marked.includes(id) ? 5 : 3) : 9}
            />
          ))}
          {sheet.joints.map(({ id, atM, snag, mating }) => (
            <path
              key={id}
              d={`M${scale(atM)} 4V20`}
              stroke={mating.passes ? (snag === 'caution' ? 'var(--caution)' : 'var(--ink)') : 'var(--stop)'}
              strokeWidth={mating.passes ? 1.5 : 4}
            />
          ))}
        </svg>
      )}
    </div>
  );
}
