import { formatLength, type PlannedSpan } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';

const TALL = 44;
const CABLE = 14;

/** A reel unrolled to scale: its cuts, what is damaged, and what is left. */
export function ReelDrawing({ planned, longestM }: { planned: PlannedSpan; longestM: number }): ReactNode {
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const { span, cuts, remnantM, isScrap } = planned;
  // Of a reel to be bought only what is taken matters.
  const allM = span.reel?.lengthM ?? span.lengthM - remnantM;
  const x = (metres: number): number => (metres / longestM) * (width - 2) + 1;
  const y = TALL - CABLE - 6;
  const metresText = (metres: number): string => formatLength(metres, { system: units, digits: 2 });
  const end = span.fromM + span.lengthM;
  const leftM = span.reel ? remnantM : 0;
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={TALL}
          role="img"
          aria-label={`${span.name}: ${cuts.map(({ piece }) => `${piece.name} ${metresText(piece.lengthM)}`).join(', ')}; ${metresText(remnantM)} left${isScrap ? ', scrap' : ''}.`}
        >
          <rect x={x(0)} y={y} width={x(allM) - x(0)} height={CABLE} fill="none" stroke="var(--rule)" />
          {span.reel?.damaged.map(({ fromM, toM }) => (
            <path
              key={fromM}
              d={`M${x(fromM)} ${y}L${Math.max(x(toM), x(fromM) + 4)} ${y + CABLE}M${Math.max(x(toM), x(fromM) + 4)} ${y}L${x(fromM)} ${y + CABLE}`}
              stroke="var(--stop)"
              strokeWidth={2}
            />
          ))}
          {cuts.map(({ piece, fromM, toM }, k) => {
            const wide = x(toM) - x(fromM);
            const label = wide > piece.name.length * 7 + 24 ? `${k + 1} ${piece.name}` : String(k + 1);
            return (
              <g key={piece.id}>
                <rect x={x(fromM)} y={y} width={Math.max(1, wide - 1)} height={CABLE} fill="var(--ink)" />
                <path d={`M${x(toM)} ${y - 6}V${TALL}`} stroke="var(--ink)" strokeWidth={2} />
                {wide > 14 && (
                  <text x={(x(fromM) + x(toM)) / 2} y={y - 6} fontSize={13} textAnchor="middle">
                    {label}
                  </text>
                )}
              </g>
            );
          })}
          <rect
            x={x(end - leftM)}
            y={y}
            width={Math.max(0, x(end) - x(end - leftM))}
            height={CABLE}
            fill={isScrap ? 'var(--rule)' : 'var(--braid)'}
            stroke="var(--edge)"
          />
        </svg>
      )}
    </div>
  );
}
