import type { Design, Leg } from '../run/index.js';
import type { Zone } from '../route/index.js';
import { isReversed } from './chain.js';
import { wayLength } from './way/path.js';
import type { Condition, Site, Way } from './document/site.js';

/** The zone of the joints in a way: what is worst of its conditions for a joint. */
export function zoneOfWay({ kind, conditions }: Pick<Way, 'kind' | 'conditions'>): Zone {
  const has = (...wanted: Condition[]): boolean => wanted.some((one) => conditions.includes(one));
  if (kind === 'direct burial' || has('buried') || (kind === 'duct' && !has('inside'))) return 'buried';
  if (has('ice')) return 'ice';
  if (has('salt')) return 'salt';
  if (has('outside', 'sun')) return 'outdoor';
  return has('sheltered', 'wet') ? 'sheltered' : 'dry';
}

/** How much hotter a cable lies in the full sun, and where it is called hot (a roof space, a boiler room), K. Common practice, no source. */
const HOTTER_K: Partial<Record<Condition, number>> = { sun: 15, heat: 20 };

const hotterKOf = ({ conditions }: Pick<Way, 'conditions'>): number =>
  Math.max(0, ...conditions.map((one) => HOTTER_K[one] ?? 0));

/**
 * The run with its legs from the ways of the site it lies in: the one place where a run and its site meet. A run without a route, or without
 * a site, is given back as it is. A way which is gone is left out; `survey` says so.
 */
export function onSite(design: Design, site: Site | undefined): Design {
  if (!design.route || !site) return design;
  const chain = design.route.map(({ way: id }) => site.ways.find((one) => one.id === id));
  const height = (id: string): number | undefined => site.points.find((point) => point.id === id)?.zM;
  const legs = design.route.flatMap(({ slack }, k): Leg[] => {
    const way = chain[k];
    if (!way) return [];
    const [from, to] = [height(way.from), height(way.to)];
    const rise = from === undefined || to === undefined ? 0 : isReversed(chain, k) ? from - to : to - from;
    const hotter = hotterKOf(way);
    const radii = way.bends.map(({ radiusMm }) => radiusMm);
    return [
      {
        id: way.id,
        name: way.name,
        kind: way.kind,
        zone: zoneOfWay(way),
        lengthM: Math.max(0.01, wayLength(site, way).value),
        slackM: slack.reduce((sum, { lengthM }) => sum + lengthM, 0),
        ...(radii.length > 0 ? { bendRadiusMm: Math.min(...radii) } : {}),
        ...(way.duct ? { boreMm: way.duct.boreMm } : {}),
        ...(hotter > 0 ? { hotterK: hotter } : {}),
        riseM: rise,
      },
    ];
  });
  return { ...design, legs };
}
