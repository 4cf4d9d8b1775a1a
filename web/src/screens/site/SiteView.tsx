import {
  formatLength,
  pathOf,
  type Place3,
  type Site,
  type SitePoint,
  type SiteSheet,
  type SnagLevel,
} from '@kobran/core';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { SnagMark } from '../../ui/SnagMark.js';
import { useWidth } from '../../ui/useWidth.js';
import { placeLabels } from './labels.js';
import { PlanImage } from './PlanImage.js';
import { nameIn, PointMark, textWidth } from './PointMark.js';
import type { Pointed } from './pointing.js';
import { Ground, PointedMark, WayStrands } from './WayStrands.js';
import { useZoom } from './useZoom.js';
import { ZoomButtons } from './ZoomButtons.js';
import {
  barM,
  moved,
  projectionOf,
  SNAP_M,
  snapped,
  zoomed,
  type Projection,
  type View,
} from './projection.js';

export interface DrawingProps {
  jobId: string;
  site: Site;
  sheet: SiteSheet;
  selected: string | undefined;
  pointed: Pointed | undefined;
  onSelect: (id: string) => void;
  onPoint: (place: Pointed | undefined) => void;
  onMove: (point: SitePoint) => void;
}

export const DRAWING_HEIGHT = 300;
const HEIGHT = DRAWING_HEIGHT;
const PAD = [34, 26, 34, 34] as const;
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
  jobId,
  site,
  sheet,
  choice,
  selected,
  pointed,
  onSelect,
  onPoint,
  onMove,
}: DrawingProps & { view: View; title: string; choice?: ReactNode }): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { units } = usePreferences();
  const [dragged, setDragged] = useState<SitePoint>();
  const corners = site.ways.flatMap(({ via }) => via);
  const [drawing, zoom] = useZoom(width, HEIGHT);
  const projection = zoomed(
    projectionOf(view, [...site.points, ...corners], [width, HEIGHT], PAD),
    zoom.transform,
  );
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
  const order = groupsOf(
    shown.points.toSorted((a, b) => Number(b.id === selected) - Number(a.id === selected)),
    projection,
  );
  const spots = placeLabels(
    order.map(({ point, name }) => ({
      x: projection.x(point),
      y: projection.y(point),
      textWidth: textWidth(name),
    })),
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
  const pointedWay = shown.ways.find(({ id }) => id === pointed?.way);
  const labelOf = new Map(
    order.flatMap(({ point, name }, k) => {
      const spot = spots[k];
      return spot ? [[point.id, { ...spot, name }]] : [];
    }),
  );
  function step(event: KeyboardEvent, point: SitePoint): void {
    const by = arrows[event.key];
    if (!by) return;
    event.preventDefault();
    const size = event.shiftKey ? 1 : SNAP_M;
    const [across, up] = [view.across(point) + by[0] * size, view.up(point) + by[1] * size];
    onMove(moved(view, point, Number(across.toFixed(3)), Number(up.toFixed(3))));
  }
  function drag(point: SitePoint, dx: number, dy: number): void {
    const { pxPerM } = projection;
    setDragged(
      moved(view, point, snapped(view.across(point) + dx / pxPerM), snapped(view.up(point) - dy / pxPerM)),
    );
  }
  return (
    <figure ref={ref} aria-label={title} className="min-w-0 border border-rule bg-paper">
      <figcaption className="flex items-center justify-between gap-2 px-2 pt-1 text-sm text-muted">
        {choice ?? title}
        <ZoomButtons zoom={zoom} of={title} />
      </figcaption>
      {width > 0 && (
        <svg
          ref={drawing}
          width={width}
          height={HEIGHT}
          role="group"
          tabIndex={0}
          aria-label={`${title}. Plus and minus zoom, 0 fits; arrows move it when it is near.`}
          // Fitted, a finger scrolls the page.
          className={`block ${zoom.transform.k > 1 ? 'touch-none' : 'touch-pan-y'}`}
          onKeyDown={zoom.onKeyDown}
          onPointerLeave={() => onPoint(undefined)}
        >
          {view.name === 'plan' && site.picture && (
            <PlanImage jobId={jobId} picture={site.picture} projection={projection} />
          )}
          {view.name !== 'plan' && <Ground projection={projection} width={width} />}
          {sheet.ways.map((one) => (
            <WayStrands
              key={one.way.id}
              sheet={one}
              path={pathOf(shown, one.way)}
              projection={projection}
              selected={selected === one.way.id}
              onSelect={() => onSelect(one.way.id)}
              onPoint={(share) => onPoint(share === undefined ? undefined : { way: one.way.id, share })}
            />
          ))}
          {pointedWay && pointed && (
            <PointedMark path={pathOf(shown, pointedWay)} share={pointed.share} projection={projection} />
          )}
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
              onDrag={(dx, dy) => drag(site.points.find(({ id }) => id === point.id) ?? point, dx, dy)}
              onDrop={() => {
                if (dragged) onMove(dragged);
                setDragged(undefined);
              }}
              onCancel={() => setDragged(undefined)}
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

/** Marks nearer to each other than this lie on each other, px. */
const SAME_PX = 6;

/** Points which lie on each other in a view share a name: of the first, with the number of the others. */
function groupsOf(points: readonly SitePoint[], { x, y }: Projection): { point: SitePoint; name: string }[] {
  const groups: SitePoint[][] = [];
  for (const point of points) {
    const there = groups.find(([first]) => Math.hypot(x(first) - x(point), y(first) - y(point)) < SAME_PX);
    if (there) there.push(point);
    else groups.push([point]);
  }
  return groups.map(([point, ...under]) => ({ point, name: nameIn(point, under.length) }));
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
