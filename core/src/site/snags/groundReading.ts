import { formatFigure } from '../../quantity/index.js';
import type { GroundSheet } from '../ground/groundSheet.js';
import { MAX_BOND_OHM } from '../ground/judgeBond.js';
import type { SiteFinding, SiteRule } from './siteSnag.js';

/** A system which is computed to be above what its profile asks, and which nobody has measured. */
function unmeasured({ earth, profile, nodes }: GroundSheet): SiteFinding[] {
  const { reading, resistance, unknown } = earth;
  const first = nodes.find(({ tied, isElectrode }) => tied && isElectrode);
  if (reading || !first) return [];
  const base = { at: first.id, remedies: [], source: profile.source };
  if (unknown.length > 0 && (!resistance || resistance.value > profile.earthOhm))
    return [
      {
        ...base,
        rule: 'earth-unknown',
        level: 'note',
        at: unknown[0].id,
        what: `Resistance to earth of ${unknown[0].name} is not known`,
        why: `${resistance ? `Without it ${formatFigure(resistance, 'metric')} is computed` : 'It cannot be computed'}; your profile asks ${profile.earthOhm} ohm or less. Measure the system.`,
      },
    ];
  return resistance && resistance.value > profile.earthOhm
    ? [
        {
          ...base,
          rule: 'earth-computed',
          level: 'caution',
          what: `${formatFigure(resistance, 'metric')} to earth is more than your profile asks`,
          why: `Computed from soil and electrodes, within ${Math.round(resistance.plusMinus ?? 0)} ohm; ${profile.earthOhm} ohm is asked. Measure it, or plan more rods, at least one rod’s length apart, or a ring.`,
        },
      ]
    : [];
}

/** Readings which say that a joint is bad, or the soil is not reached. */
export const groundReading: SiteRule = ({ ground, ground: { bonds, earth, profile } }) => [
  ...unmeasured(ground),
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
