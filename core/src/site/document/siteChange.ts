import type { Site, SitePoint, Way } from './site.js';

/** One change of a site: what remedies apply and what undo takes back. Plain data. */
export type SiteChange =
  | { op: 'put point'; point: SitePoint }
  | { op: 'remove point'; id: string }
  | { op: 'put way'; way: Way }
  | { op: 'remove way'; id: string }
  | { op: 'set site'; site: Site };

const put = <T extends { id: string }>(all: readonly T[], one: T): T[] =>
  all.some(({ id }) => id === one.id) ? all.map((old) => (old.id === one.id ? one : old)) : [...all, one];

/** Applies a change; the given site is not touched. Ways which lead to a removed point go with it. */
export function applySiteChange(site: Site, change: SiteChange): Site {
  switch (change.op) {
    case 'put point':
      return { ...site, points: put(site.points, change.point) };
    case 'remove point':
      return {
        ...site,
        points: site.points.filter(({ id }) => id !== change.id),
        ways: site.ways.filter(({ from, to }) => from !== change.id && to !== change.id),
      };
    case 'put way':
      return { ...site, ways: put(site.ways, change.way) };
    case 'remove way':
      return { ...site, ways: site.ways.filter(({ id }) => id !== change.id) };
    case 'set site':
      return change.site;
  }
}
