import type { TrainItem } from '@kobran/core';
import type { ReactNode } from 'react';

/** The loose parts to one scale on the cable, in sliding order; the cable's end is to the right. Those confirmed are filled. */
export function TrainDrawing({
  items,
  confirmed,
  jacketMm,
  width,
  tall = 44,
}: {
  items: readonly TrainItem[];
  confirmed: readonly string[];
  jacketMm: number;
  width: number;
  tall?: number;
}): ReactNode {
  const gapMm = 9;
  const lengthMm = items.reduce((sum, item) => sum + item.lengthMm + gapMm, gapMm);
  const scale = Math.min(
    width / (lengthMm + 10),
    tall / Math.max(jacketMm, ...items.map(({ outerMm }) => outerMm)),
  );
  const axis = tall / 2 + 8;
  const startOf = (k: number): number =>
    gapMm + items.slice(0, k).reduce((sum, item) => sum + item.lengthMm + gapMm, 0);
  return (
    <svg width={width} height={tall + 40} aria-hidden="true" className="block">
      <rect
        x={0}
        y={axis - (jacketMm * scale) / 2}
        width={lengthMm * scale}
        height={jacketMm * scale}
        fill="var(--ink)"
      />
      {items.map((item, k) => {
        const x = startOf(k) * scale;
        return (
          <g key={item.id}>
            <rect
              x={x}
              y={axis - (item.outerMm * scale) / 2}
              width={Math.max(item.lengthMm * scale, 2)}
              height={item.outerMm * scale}
              fill={confirmed.includes(item.id) ? 'var(--edge)' : 'var(--dielectric)'}
              stroke="var(--ink)"
              strokeWidth={1.5}
            />
            <text
              x={x + (item.lengthMm * scale) / 2}
              y={tall + 30}
              fontSize={15}
              textAnchor="middle"
              fontWeight={700}
              className="figures"
            >
              {k + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
