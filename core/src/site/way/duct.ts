import { withRoom } from '../../route/index.js';

/** How much of a duct one, two, and three or more cables may fill. NEC chapter 9 table 1, from memory. */
export const fillLimit = (cables: number): number => (cables === 1 ? 0.53 : cables === 2 ? 0.31 : 0.4);

/** Sum of the cables’ areas over the duct’s, 0 and up. */
export const fillOf = (boreMm: number, diametersMm: readonly number[]): number =>
  diametersMm.reduce((sum, mm) => sum + mm ** 2, 0) / boreMm ** 2;

/** Three cables of one size side by side wedge themselves when the bore is about three times theirs. Common practice, no source. */
const JAM = { from: 2.8, to: 3.2 };

/** Bore over diameter of three equal cables when it is in the range that jams; nothing otherwise. */
export function jamRatio(boreMm: number, diametersMm: readonly number[]): number | undefined {
  if (diametersMm.length !== 3) return undefined;
  const [small, , large] = diametersMm.toSorted((x, y) => x - y);
  const ratio = boreMm / ((small + large) / 2);
  return large - small <= 0.1 * large && ratio >= JAM.from && ratio <= JAM.to ? ratio : undefined;
}

/** Where a cable lies in a duct: its middle from the duct’s, mm, y upwards. */
export interface LaidCable {
  xMm: number;
  yMm: number;
  diameterMm: number;
}

const SLACK_MM = 1e-9;

/**
 * Lays cables into a duct as they would lie: each as low as it goes, touching the wall or those before it; the thickest first.
 *
 * @returns in the order given; nothing when they were not found room
 * @example layInDuct(40, [10])?.[0].yMm // -15
 */
export function layInDuct(boreMm: number, diametersMm: readonly number[]): LaidCable[] | undefined {
  const order = diametersMm.map((_, k) => k).sort((x, y) => diametersMm[y] - diametersMm[x] || x - y);
  const laid: LaidCable[] = [];
  const places: LaidCable[] = [];
  for (const k of order) {
    const place = lowestPlace(boreMm, diametersMm[k], laid);
    if (!place) return undefined;
    laid.push(place);
    places[k] = place;
  }
  return places;
}

/** The lowest place for one more; of two as low, the left one. */
function lowestPlace(boreMm: number, diameterMm: number, laid: readonly LaidCable[]): LaidCable | undefined {
  const free = boreMm / 2 - diameterMm / 2;
  if (free < -SLACK_MM) return undefined;
  const reach = Math.max(0, free);
  const fits = ({ x, y }: Point): boolean =>
    Math.hypot(x, y) <= reach + SLACK_MM * 10 &&
    laid.every(
      (other) =>
        Math.hypot(other.xMm - x, other.yMm - y) >= (other.diameterMm + diameterMm) / 2 - SLACK_MM * 10,
    );
  const circles = laid.map((one): Circle => ({
    x: one.xMm,
    y: one.yMm,
    r: (one.diameterMm + diameterMm) / 2,
  }));
  const wall: Circle = { x: 0, y: 0, r: reach };
  const candidates = [
    { x: 0, y: -reach },
    ...circles.flatMap((one, k) => [
      ...crossings(wall, one),
      ...circles.slice(k + 1).flatMap((other) => crossings(one, other)),
    ]),
  ];
  const [best] = candidates.filter(fits).sort((p, q) => p.y - q.y || p.x - q.x);
  return best && { xMm: best.x, yMm: best.y, diameterMm };
}

interface Point {
  x: number;
  y: number;
}
interface Circle extends Point {
  r: number;
}

/** Where two circles cross. */
function crossings(a: Circle, b: Circle): Point[] {
  const d = Math.hypot(b.x - a.x, b.y - a.y);
  if (d === 0 || d > a.r + b.r || d < Math.abs(a.r - b.r)) return [];
  const along = (d ** 2 + a.r ** 2 - b.r ** 2) / (2 * d);
  const off = Math.sqrt(Math.max(0, a.r ** 2 - along ** 2));
  const [ux, uy] = [(b.x - a.x) / d, (b.y - a.y) / d];
  return [1, -1].map((side) => ({
    x: a.x + ux * along - uy * off * side,
    y: a.y + uy * along + ux * off * side,
  }));
}

/** Does a connector pass beside what lies in the duct already? */
export const connectorPasses = (boreMm: number, besideMm: readonly number[], connectorMm: number): boolean =>
  layInDuct(boreMm, [...besideMm, withRoom(connectorMm)]) !== undefined;
