import { MAX_BOND_OHM } from '../ground/judgeBond.js';
import type { SiteFinding, SiteRule } from './siteSnag.js';

/** Readings which say that a joint is bad, or the soil is not reached. */
export const groundReading: SiteRule = ({ ground: { bonds, earth, profile } }) => [
  ...bonds.flatMap(({ bond, from, to, reading }): SiteFinding[] => {
    if (!reading || reading.method === 'fall of potential' || reading.method === 'clamp-on') return [];
    const most = MAX_BOND_OHM[reading.method];
    return reading.ohm <= most
      ? []
      : [
          {
            rule: 'bond-reading',
            level: 'caution',
            at: bond.id,
            what: `A joint is bad from ${from.name} to ${to.name}`,
            why: `${reading.ohm} ohm, ${reading.method}; ${most} ohm or less is good. Clean what touches, tighten, measure again.`,
            remedies: [],
            source: 'handbook of the trade, from memory',
          },
        ];
  }),
  ...(earth.reading && earth.reading.ohm > profile.earthOhm
    ? [
        {
          rule: 'earth-reading',
          level: 'caution' as const,
          at: earth.reading.about,
          what: `${earth.reading.ohm} ohm to earth is more than your profile asks`,
          why: `${profile.earthOhm} ohm: more rods, at least one rod’s length apart, or a ring.`,
          remedies: [],
          source: profile.source,
        },
      ]
    : []),
];
