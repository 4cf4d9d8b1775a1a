import {
  formatLength,
  pathOf,
  type Place3,
  type Site,
  type SitePoint,
  type SiteSheet,
  type SnagLevel,
  type WaySheet,
} from '@kobran/core';
import { useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { SnagMark } from '../../ui/SnagMark.js';
import { useWidth } from '../../ui/useWidth.js';
import { placeLabels } from './labels.js';
import { PointMark, textWidth } from './PointMark.js';
import { barM, moved, projectionOf, SNAP_M, snapped, type Projection, type View } from './projection.js';

export interface DrawingProps {
  site: Site;
  sheet: SiteSheet;
  selected: string | undefined;
  onSelect: (id: string) => void;
  onMove: (point: SitePoint) => void;
}

const HEIGHT = 300;
const PAD = [34, 26, 34, 34] as const;
/** Strands lie this far apart, px. */
const STRAND_PX = 3.5;

const arrows: Record<string, [across: number, up: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The site from one side: ways with a strand for each cable, points which can be moved. */
export function SiteView({
  view,
  title,
  site,
  sheet,
  selected,
  onSelect,
  onMove,
}: DrawingProps & { view: View; title: string }): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { units } = usePreferences();
  const [dragged, setDragged] = useState<SitePoint>();
  const corners = site.ways.flatMap(({ via }) => via);
  const projection = projectionOf(view, [...site.points, ...corners], [width, HEIGHT], PAD);
  const shown = dragged
    ? { ...site, points: site.points.map((point) => (point.id === dragged.id ? dragged : point)) }
    : site;
  const bar = barM(projection.pxPerM, 120);
  const warned = sheet.ways.flatMap(({ way }): Warned[] => {
    const worst = sheet.snags.find(({ at }) => at === way.id);
    return worst && worst.level !== 'note'
      ? [{ id: way.id, level: worst.level, what: worst.what, at: middleOf(pathOf(shown, way), projection) }]
      : [];
  });
  // The chosen one is named first: it is never without.
  const order = shown.points.toSorted((a, b) => Number(b.id === selected) - Number(a.id === selected));
  const spots = placeLabels(
    order.map((point) => ({ x: projection.x(point), y: projection.y(point), textWidth: textWidth(point) })),
    site.ways.flatMap((way) => segmentsOf(pathOf(shown, way), projection)),
    {
      width,
      height: HEIGHT,
      taken: [
        ...warned.map(({ at: [x, y] }) => ({ x: x - 9, y: y - 9, width: 18, height: 18 })),
        { x: 12, y: HEIGHT - 26, width: bar * projection.pxPerM + 60, height: 20 },
      ],
    },
  );
  const labelOf = new Map(order.map(({ id }, k) => [id, spots[k]]));
  function step(event: KeyboardEvent, point: SitePoint): void {
    const by = arrows[event.key];
    if (!by) return;
    event.preventDefault();
    const size = event.shiftKey ? 1 : SNAP_M;
    const [across, up] = [view.across(point) + by[0] * size, view.up(point) + by[1] * size];
    onMove(moved(view, point, Number(across.toFixed(3)), Number(up.toFixed(3))));
  }
  function drag({ clientX, clientY, currentTarget }: PointerEvent<SVGElement>, point: SitePoint): void {
    const box = currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!box) return;
    const [across, up] = projection.back(clientX - box.left, clientY - box.top);
    setDragged(moved(view, point, snapped(across), snapped(up)));
  }
  return (
    <figure ref={ref} aria-label={title} className="min-w-0 border border-rule bg-paper">
      <figcaption className="px-2 pt-1 text-sm text-muted">{title}</figcaption>
      {width > 0 && (
        <svg width={width} height={HEIGHT} className="block touch-none">
          {view.name === 'elevation' && <Ground projection={projection} width={width} />}
          {sheet.ways.map((one) => (
            <WayStrands
              key={one.way.id}
              sheet={one}
              path={pathOf(shown, one.way)}
              projection={projection}
              selected={selected === one.way.id}
              onSelect={() => onSelect(one.way.id)}
            />
          ))}
          {warned.map(({ id, level, what, at: [x, y] }) => (
            <g
              key={id}
              transform={`translate(${x - 9} ${y - 9})`}
              className="cursor-pointer"
              onClick={() => onSelect(id)}
            >
              <title>{what}</title>
              <rect width={18} height={18} rx={3} fill="var(--paper)" />
              <SnagMark level={level} size={18} />
            </g>
          ))}
          {shown.points.map((point) => (
            <PointMark
              key={point.id}
              point={point}
              x={projection.x(point)}
              y={projection.y(point)}
              selected={selected === point.id}
              label={labelOf.get(point.id)}
              what={`${point.name}, ${point.kind}: ${formatLength(view.across(point), { system: units })} across, ${formatLength(view.up(point), { system: units })} up. Arrows move it.`}
              onSelect={() => onSelect(point.id)}
              onKeyDown={(event) => step(event, point)}
              onDrag={(event) => drag(event, point)}
              onDrop={() => {
                if (dragged) onMove(dragged);
                setDragged(undefined);
              }}
            />
          ))}
          <g transform={`translate(12 ${HEIGHT - 10})`} aria-hidden="true">
            <path d={`M0 -4v4h${bar * projection.pxPerM}v-4`} fill="none" stroke="var(--ink)" />
            <text x={bar * projection.pxPerM + 6} fontSize={13} className="figures">
              {formatLength(bar, { system: units, digits: bar < 1 ? 2 : 0 })}
            </text>
          </g>
        </svg>
      )}
    </figure>
  );
}

/** A way with something against it, and where that is drawn. */
interface Warned {
  id: string;
  level: SnagLevel;
  what: string;
  at: [x: number, y: number];
}

/** The middle of a path’s longest side, px. */
function middleOf(path: readonly Place3[], projection: Projection): [x: number, y: number] {
  const sides = segmentsOf(path, projection);
  const length = ([x1, y1, x2, y2]: (typeof sides)[number]): number => Math.hypot(x2 - x1, y2 - y1);
  const [x1, y1, x2, y2] = sides.reduce((longest, side) => (length(side) > length(longest) ? side : longest));
  return [(x1 + x2) / 2, (y1 + y2) / 2];
}

const segmentsOf = (path: readonly Place3[], { x, y }: Projection) =>
  path.slice(1).map((place, k) => [x(path[k]), y(path[k]), x(place), y(place)] as const);

/** Where the ground is. */
function Ground({ projection, width }: { projection: Projection; width: number }): ReactNode {
  const y = projection.y({ xM: 0, yM: 0, zM: 0 });
  return <path d={`M0 ${y}H${width}`} stroke="var(--edge)" strokeDasharray="6 4" />;
}

/** A way with its cables side by side; one without any is dashed. */
function WayStrands({
  sheet: { way, cables },
  path,
  projection,
  selected,
  onSelect,
}: {
  sheet: WaySheet;
  path: readonly Place3[];
  projection: Projection;
  selected: boolean;
  onSelect: () => void;
}): ReactNode {
  const strands = Math.max(1, cables.length);
  const offsets = Array.from({ length: strands }, (_, k) => (k - (strands - 1) / 2) * STRAND_PX);
  return (
    <g onClick={onSelect} className="cursor-pointer">
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
