import { usualBond } from '../ground/newBond.js';
import { isBar, isElectrode, isToBeTied, type GroundPart } from '../ground/nodes.js';
import type { Place3 } from '../document/site.js';
import type { NodeSheet } from '../ground/groundSheet.js';
import type { SiteRule } from './siteSnag.js';

const apartM = (a: Place3 | undefined, b: Place3 | undefined): number =>
  a && b ? Math.hypot(b.xM - a.xM, b.yM - a.yM, b.zM - a.zM) : Infinity;

/** So much farther may they be, m. */
const ELECTRODES_LIKED_M = 3;
const BAR_LIKED_M = 0.5;

/** Which two parts are tied: the nearest, a bar where no places are known. */
function nearestPair(
  island: readonly NodeSheet[],
  tied: readonly NodeSheet[],
): [GroundPart, GroundPart] | undefined {
  const cost = (a: GroundPart, b: GroundPart): number => {
    const metres = apartM(a.place, b.place);
    // Electrode to electrode where there are two; else to a bar.
    const liked = isElectrode(a) && isElectrode(b) ? ELECTRODES_LIKED_M : isBar(b) ? BAR_LIKED_M : 0;
    return (Number.isFinite(metres) ? metres : 1e6) - liked;
  };
  let [best, least]: [[GroundPart, GroundPart] | undefined, number] = [undefined, Infinity];
  for (const a of island.filter(isToBeTied))
    for (const b of tied) {
      const costs = cost(a, b);
      if (costs < least) [best, least] = [[a, b], costs];
    }
  return best;
}

/** Parts which are not tied to the one system: one with an electrode of its own is a second ground, the most dangerous of all. */
export const groundIsland: SiteRule = ({ site, ground: { drawn, islands, nodes, profile } }) => {
  const tied = nodes.filter((node) => node.tied);
  if (!drawn || tied.length === 0) return [];
  return islands.map((island) => {
    const own = island.find(isElectrode);
    const first = own ?? island[0];
    const arrester = island.find(({ kind }) => kind === 'arrester');
    const pair = nearestPair(island, tied);
    const names = island.map(({ name }) => name);
    return {
      rule: 'ground-island',
      level: own || arrester ? ('stop' as const) : ('caution' as const),
      at: first.id,
      what: own
        ? `${own.name} is a ground of its own`
        : `${names.length > 2 ? `${names[0]} and ${names.length - 1} more are` : `${names.join(' and ')} ${names.length > 1 ? 'are' : 'is'}`} tied to nothing`,
      why: own
        ? 'In a surge the two grounds stand thousands of volts apart, and what joins them are your cables. All electrodes of a site are bonded together.'
        : arrester
          ? 'An arrester protects only what it is tied to.'
          : 'A surge finds its own way from here, through cables and people.',
      remedies: pair
        ? [
            {
              title: `Join ${pair[0].name} to ${pair[1].name}`,
              detail: 'a conductor as your profile asks',
              changes: [{ op: 'put bond' as const, bond: usualBond(site.ground, profile, ...pair) }],
            },
          ]
        : [],
      source: 'handbook of the trade; NEC 810.21(J), IEC 62305-3, from memory',
    };
  });
};
