import type { HeightProfile, Place3 } from '@kobran/core';
import type { Projection } from './projection.js';

/** A place on a way at which somebody points: every view shows it. */
export interface Pointed {
  way: string;
  /** Along its path from its first point, 0 to 1. */
  share: number;
}

const lengths = (path: readonly Place3[]): number[] =>
  path
    .slice(1)
    .map((place, k) => Math.hypot(place.xM - path[k].xM, place.yM - path[k].yM, place.zM - path[k].zM));

/** The place at a share of a path. */
export function placeAt(path: readonly Place3[], share: number): Place3 {
  const sides = lengths(path);
  let left = share * sides.reduce((sum, side) => sum + side, 0);
  for (const [k, side] of sides.entries()) {
    if (left <= side || k === sides.length - 1) {
      const t = side > 0 ? Math.min(1, left / side) : 0;
      const mix = (of: (place: Place3) => number): number =>
        of(path[k]) + t * (of(path[k + 1]) - of(path[k]));
      return { xM: mix(({ xM }) => xM), yM: mix(({ yM }) => yM), zM: mix(({ zM }) => zM) };
    }
    left -= side;
  }
  return path[0];
}

/** The share of a path which is drawn nearest to a place of the drawing, px. */
export function shareNear(
  path: readonly Place3[],
  { x, y }: Projection,
  [px, py]: readonly [number, number],
): number {
  const sides = lengths(path);
  const total = sides.reduce((sum, side) => sum + side, 0);
  let best = { away: Infinity, share: 0 };
  let before = 0;
  for (const [k, side] of sides.entries()) {
    const [x1, y1, dx, dy] = [
      x(path[k]),
      y(path[k]),
      x(path[k + 1]) - x(path[k]),
      y(path[k + 1]) - y(path[k]),
    ];
    const square = dx * dx + dy * dy;
    const t = square > 0 ? Math.min(1, Math.max(0, ((px - x1) * dx + (py - y1) * dy) / square)) : 0.5;
    const away = Math.hypot(px - x1 - t * dx, py - y1 - t * dy);
    if (away < best.away) best = { away, share: total > 0 ? (before + t * side) / total : 0 };
    before += side;
  }
  return best.share;
}

/** Where on the ruler of a run somebody points; nothing where the run does not go. */
export function rulerAt({ ways }: HeightProfile, pointed: Pointed | undefined): number | undefined {
  const there = ways.find(({ way }) => way.id === pointed?.way);
  if (!there || !pointed) return undefined;
  const share = there.reversed ? 1 - pointed.share : pointed.share;
  return there.fromM + share * (there.cableToM - there.fromM);
}

/** What stands at a place on the ruler of a run; slack lies where its way ends. */
export function pointedAt({ ways }: HeightProfile, atM: number): Pointed | undefined {
  const there = ways.find(({ fromM, toM }) => atM >= fromM && atM <= toM);
  if (!there) return undefined;
  const { way, fromM, cableToM, reversed } = there;
  const share = cableToM > fromM ? Math.min(1, (atM - fromM) / (cableToM - fromM)) : 0;
  return { way: way.id, share: reversed ? 1 - share : share };
}
