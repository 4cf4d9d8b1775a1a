import type { Shape } from '../make/index.js';
import { formatLength, type UnitSystem } from '../quantity/index.js';
import { pathOf, type Site } from '../site/index.js';
import { TEXT_WIDTH_MM, type Block } from './report.js';

const MAX_HEIGHT_MM = 110;
const MARGIN_MM = 8;
/** Of a name in 7 pt; one which finds no free corner is left out, since the schedule has it. */
const NAME = { widthMm: 26, heightMm: 3 };
const LETTER_MM = 1.35;
/** Where a name may stand beside its point: to the right or left of it, below or above. */
const CORNERS = [
  [true, false],
  [true, true],
  [false, false],
  [false, true],
] as const;

/** A name on paper, from its upper left corner, mm. */
interface Spot {
  x: number;
  y: number;
  width: number;
}

const isBeside = (one: Spot, other: Spot): boolean =>
  one.x < other.x + other.width && other.x < one.x + one.width && Math.abs(one.y - other.y) < NAME.heightMm;

/** Does a line run through a name? Looked at in steps of half a millimetre. */
function isCrossed({ x, y, width }: Spot, line: { x: number; y: number; toX: number; toY: number }): boolean {
  const steps = Math.ceil(Math.hypot(line.toX - line.x, line.toY - line.y) * 2) + 1;
  return Array.from({ length: steps + 1 }, (_, k) => k / steps).some((share) => {
    const [atX, atY] = [line.x + (line.toX - line.x) * share, line.y + (line.toY - line.y) * share];
    return atX > x && atX < x + width && atY > y && atY < y + NAME.heightMm;
  });
}

/** A site from above, north up: its ways and points to scale. */
export function planDrawing(site: Site, units: UnitSystem): Block | undefined {
  if (site.points.length < 2) return undefined;
  const paths = site.ways.map((way) => ({ way, path: pathOf(site, way) }));
  const places = [...site.points, ...paths.flatMap(({ path }) => path)];
  const [xs, ys] = [places.map(({ xM }) => xM), places.map(({ yM }) => yM)];
  const [west, east, south, north] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const [widthM, heightM] = [Math.max(east - west, 0.5), Math.max(north - south, 0.5)];
  const scale = Math.min(
    (TEXT_WIDTH_MM - 2 * MARGIN_MM - NAME.widthMm) / widthM,
    (MAX_HEIGHT_MM - 2 * MARGIN_MM) / heightM,
  );
  const x = (xM: number): number => MARGIN_MM + (xM - west) * scale;
  const y = (yM: number): number => MARGIN_MM + (north - yM) * scale;
  const ways = paths.flatMap(({ way, path }) =>
    path.slice(1).map((end, k): Shape => ({
      kind: 'line',
      x: x(path[k].xM),
      y: y(path[k].yM),
      toX: x(end.xM),
      toY: y(end.yM),
      stroke: way.kind === 'aerial' ? 'muted' : 'ink',
      thick: 0.5,
      what: `way ${way.id}`,
    })),
  );
  const segments = ways.flatMap((shape) => (shape.kind === 'line' ? [shape] : []));
  const named: Spot[] = [];
  const points = site.points.flatMap(({ id, name, xM, yM }): Shape[] => {
    const at = { x: x(xM), y: y(yM) };
    const width = Math.min(NAME.widthMm + MARGIN_MM, name.length * LETTER_MM);
    const spot = CORNERS.map(([right, down]) => ({
      x: right ? at.x + 1.4 : at.x - 1.4 - width,
      y: down ? at.y + 0.6 : at.y - NAME.heightMm - 0.6,
      width,
    })).find(
      (one) =>
        one.x >= 0 &&
        !named.some((other) => isBeside(one, other)) &&
        !segments.some((segment) => isCrossed(one, segment)),
    );
    if (spot) named.push(spot);
    return [
      {
        kind: 'box',
        x: at.x - 0.7,
        y: at.y - 0.7,
        width: 1.4,
        height: 1.4,
        fill: 'ink',
        what: `point ${id}`,
      },
      ...(spot ? [{ kind: 'text' as const, ...spot, width: spot.width + 4, sizePt: 7, text: name }] : []),
    ];
  });
  const heightMm = 2 * MARGIN_MM + heightM * scale + 6;
  // A round length of about an eighth of the sheet, to measure with.
  const roundM = 10 ** Math.floor(Math.log10(TEXT_WIDTH_MM / 8 / scale)) * 2;
  const foot = heightMm - 3;
  return {
    kind: 'drawing',
    heightMm,
    shapes: [
      ...ways,
      ...points,
      {
        kind: 'line',
        x: MARGIN_MM,
        y: foot,
        toX: MARGIN_MM + roundM * scale,
        toY: foot,
        stroke: 'ink',
        what: 'scale',
      },
      {
        kind: 'text',
        x: MARGIN_MM + roundM * scale + 2,
        y: foot - 2,
        width: 60,
        sizePt: 7,
        ink: 'muted',
        text: `${formatLength(roundM, { system: units })}; north is up`,
      },
    ],
    says: `Plan of ${site.points.length} points and ${site.ways.length} ways, ${formatLength(widthM, { system: units })} by ${formatLength(heightM, { system: units })}.`,
  };
}
