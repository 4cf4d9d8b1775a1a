import { figure, type Figure } from '../../quantity/index.js';
import type { Place3, Site, SitePoint, Way } from '../document/site.js';

/** A corner flatter than this is none: nobody lays a cable straighter. */
const LEAST_CORNER_DEGREES = 5;

const distance = (a: Place3, b: Place3): number => Math.hypot(b.xM - a.xM, b.yM - a.yM, b.zM - a.zM);

/** The point with this id; a site which was checked has it. */
export function pointOf(site: Site, id: string): SitePoint {
  const found = site.points.find((point) => point.id === id);
  if (!found) throw new Error(`no point ${id}`);
  return found;
}

/** The corners of a way from its first point to its last. */
export const pathOf = (site: Site, { from, via, to }: Way): Place3[] => [
  pointOf(site, from),
  ...via,
  pointOf(site, to),
];

/** Along a path, m. */
const alongM = (path: readonly Place3[]): number =>
  path.slice(1).reduce((sum, place, k) => sum + distance(path[k], place), 0);

/** Length of a way: as it was measured, else along its points. */
export function wayLength(site: Site, way: Way): Figure {
  if (way.lengthM !== undefined) return figure(way.lengthM, 'm', 'as measured', 0.01 * way.lengthM);
  const metres = alongM(pathOf(site, way));
  return figure(metres, 'm', 'along its points', 0.02 * metres);
}

/** From its first point to its last, upwards, m. */
export const riseM = (site: Site, { from, to }: Way): number => pointOf(site, to).zM - pointOf(site, from).zM;

/** Degrees by which a path turns at its corner. */
function turnDegrees(before: Place3, corner: Place3, after: Place3): number {
  const [a, b] = [distance(before, corner), distance(corner, after)];
  if (a === 0 || b === 0) return 0;
  const dot =
    (corner.xM - before.xM) * (after.xM - corner.xM) +
    (corner.yM - before.yM) * (after.yM - corner.yM) +
    (corner.zM - before.zM) * (after.zM - corner.zM);
  return (Math.acos(Math.min(1, Math.max(-1, dot / (a * b)))) * 180) / Math.PI;
}

/** What a cable goes through in a way, in order from its first point. */
export type Stretch =
  | { kind: 'straight'; fromM: number; lengthM: number; /** Upwards, radians. */ slope: number }
  | { kind: 'bend'; atM: number; degrees: number; radiusMm: number | undefined };

/** A corner is taken to be the bend which was entered within this distance of it, m. */
const SAME_PLACE_M = 0.5;

/** Straights and bends of a way: those which were entered, and the corners of its path where none was. */
export function stretchesOf(site: Site, way: Way): Stretch[] {
  const path = pathOf(site, way);
  const drawnM = alongM(path);
  const lengthM = wayLength(site, way).value;
  const scale = drawnM > 0 ? lengthM / drawnM : 1;
  const sides: { fromM: number; toM: number; slope: number }[] = [];
  const corners: { atM: number; degrees: number }[] = [];
  let at = 0;
  for (const [k, place] of path.slice(1).entries()) {
    const sideM = distance(path[k], place);
    const toM = at + sideM * scale;
    sides.push({
      fromM: at,
      toM: drawnM > 0 ? toM : lengthM,
      slope: sideM > 0 ? Math.asin(Math.min(1, Math.max(-1, (place.zM - path[k].zM) / sideM))) : 0,
    });
    at = toM;
    if (k + 2 < path.length) corners.push({ atM: at, degrees: turnDegrees(path[k], place, path[k + 2]) });
  }
  const bends = [
    ...way.bends.map(({ atM, degrees, radiusMm }) => ({ atM: Math.min(atM, lengthM), degrees, radiusMm })),
    ...corners
      .filter(
        ({ atM, degrees }) =>
          degrees >= LEAST_CORNER_DEGREES &&
          !way.bends.some((bend) => Math.abs(bend.atM - atM) <= SAME_PLACE_M),
      )
      .map((corner) => ({ ...corner, radiusMm: undefined })),
  ].sort((x, y) => x.atM - y.atM);
  return sides.flatMap(({ fromM, toM, slope }, k): Stretch[] => {
    const isLast = k === sides.length - 1;
    const here = bends.filter(({ atM }) => atM >= fromM && (atM < toM || isLast));
    const cuts = [fromM, ...here.map(({ atM }) => atM), toM];
    return cuts
      .slice(1)
      .flatMap((end, n): Stretch[] => [
        ...(end > cuts[n]
          ? [{ kind: 'straight' as const, fromM: cuts[n], lengthM: end - cuts[n], slope }]
          : []),
        ...(n < here.length ? [{ kind: 'bend' as const, ...here[n] }] : []),
      ]);
  });
}

/** The same from the other end. */
export const reversedStretches = (stretches: readonly Stretch[], lengthM: number): Stretch[] =>
  stretches
    .map((one): Stretch =>
      one.kind === 'bend'
        ? { ...one, atM: lengthM - one.atM }
        : { ...one, fromM: lengthM - one.fromM - one.lengthM, slope: -one.slope },
    )
    .reverse();
