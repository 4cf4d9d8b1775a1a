import type { SiteFinding, SiteRule } from './siteSnag.js';

/** The lead of a ground kit. Handbook of the trade, from memory. */
const KIT_LEAD_M = 1;

/** A lead of a kit that is too long, and conductors of which nobody knows the length. */
export const wireLong: SiteRule = ({ ground: { bonds, nodes } }) => {
  // On the way of an arrester to the soil: what it leaves of a stroke cannot be said.
  const volted = new Set(
    nodes.filter(({ kind }) => kind === 'arrester').flatMap(({ unmeasured }) => unmeasured),
  );
  return bonds.flatMap(({ bond, from, to, role, length }): SiteFinding[] => {
    const base = { at: bond.id, remedies: [], source: 'common practice, no source' };
    if (!length)
      return [
        {
          ...base,
          rule: 'ground-wire-length',
          level: volted.has(bond.id) ? 'caution' : 'note',
          what: `How long is the conductor from ${from.name} to ${to.name}?`,
          why: 'Its volts follow from its length: enter it, or place both of its ends on the site.',
        },
      ];
    if (role !== 'shield' || length.value <= KIT_LEAD_M) return [];
    return [
      {
        ...base,
        rule: 'ground-wire-long',
        level: 'caution',
        what: `The lead of ${from.kind === 'ground kit' ? from.name : to.name} is too long`,
        why: `${length.value.toFixed(1)} m; ${KIT_LEAD_M} m at most, straight down to the mast.`,
      },
    ];
  });
};
