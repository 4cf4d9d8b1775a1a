import type { Place3, WaySheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { placeAt, shareNear } from './pointing.js';
import type { Projection } from './projection.js';

/** Strands lie this far apart, px. */
const STRAND_PX = 3.5;

/** Where the ground is. */
export function Ground({ projection, width }: { projection: Projection; width: number }): ReactNode {
  const y = projection.y({ xM: 0, yM: 0, zM: 0 });
  return <path d={`M0 ${y}H${width}`} stroke="var(--edge)" strokeDasharray="6 4" />;
}

/** A way with its cables side by side; one without any is dashed. */
export function WayStrands({
  sheet: { way, cables },
  path,
  projection,
  selected,
  onSelect,
  onPoint,
}: {
  sheet: WaySheet;
  path: readonly Place3[];
  projection: Projection;
  selected: boolean;
  onSelect: () => void;
  onPoint: (share: number | undefined) => void;
}): ReactNode {
  const strands = Math.max(1, cables.length);
  const offsets = Array.from({ length: strands }, (_, k) => (k - (strands - 1) / 2) * STRAND_PX);
  return (
    <g
      onClick={onSelect}
      className="cursor-pointer"
      onPointerMove={({ clientX, clientY, currentTarget }) => {
        const box = currentTarget.ownerSVGElement?.getBoundingClientRect();
        if (box) onPoint(shareNear(path, projection, [clientX - box.left, clientY - box.top]));
      }}
      onPointerLeave={() => onPoint(undefined)}
    >
      <title>{way.name}</title>
      <path d={line(path, projection, 0)} fill="none" stroke="transparent" strokeWidth={16} />
      {offsets.map((offset, k) => (
        <path
          key={k}
          d={line(path, projection, offset)}
          fill="none"
          stroke={selected ? 'var(--copper)' : 'var(--ink)'}
          strokeWidth={selected ? 2.5 : 1.6}
          strokeDasharray={cables.length === 0 ? '3 4' : undefined}
          strokeLinejoin="round"
        />
      ))}
    </g>
  );
}

/** The place at which somebody points, in whichever view. */
export function PointedMark({
  path,
  share,
  projection,
}: {
  path: readonly Place3[];
  share: number;
  projection: Projection;
}): ReactNode {
  const place = placeAt(path, share);
  return (
    <g aria-hidden="true" className="pointer-events-none">
      <path
        d={line(path, projection, 0)}
        fill="none"
        stroke="var(--copper)"
        strokeOpacity={0.35}
        strokeWidth={12}
        strokeLinejoin="round"
      />
      <circle cx={projection.x(place)} cy={projection.y(place)} r={5} fill="var(--copper)" />
    </g>
  );
}

/** A path beside the one through its places, px to its right. */
function line(path: readonly Place3[], { x, y }: Projection, offset: number): string {
  const points = path.map((place): [number, number] => [x(place), y(place)]);
  return points
    .map(([px, py], k) => {
      const [before, after] = [points[Math.max(0, k - 1)], points[Math.min(points.length - 1, k + 1)]];
      const [dx, dy] = [after[0] - before[0], after[1] - before[1]];
      const length = Math.hypot(dx, dy) || 1;
      return `${k === 0 ? 'M' : 'L'}${px - (dy / length) * offset} ${py + (dx / length) * offset}`;
    })
    .join('');
}
