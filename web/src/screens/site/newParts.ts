import { freshId, type Site, type SitePoint, type Way } from '@kobran/core';

/** How far from its neighbour a new point is put, m. */
const BESIDE_M = 2;

/** A point beside the one that is chosen, or the last one. */
export function newPoint({ points }: Site, beside: SitePoint | undefined): SitePoint {
  const near = beside ?? points.at(-1);
  return {
    id: freshId(points, 'point'),
    name: `point ${points.length + 1}`,
    kind: points.length === 0 ? 'rack' : 'free',
    xM: near ? near.xM + BESIDE_M : 0,
    yM: near?.yM ?? 0,
    zM: near?.zM ?? 0,
  };
}

/** A way from the chosen point, or the last but one, to the last; nothing where there are not two. */
export function newWay({ points, ways }: Site, chosen: SitePoint | undefined): Way | undefined {
  const to = points.findLast(({ id }) => id !== chosen?.id);
  const from = chosen ?? points.at(-2);
  if (!to || !from) return undefined;
  return {
    id: freshId(ways, 'way'),
    name: `way ${ways.length + 1}`,
    kind: 'surface clipped',
    from: from.id,
    to: to.id,
    via: [],
    conditions: ['outside'],
    bends: [],
    beside: [],
  };
}
