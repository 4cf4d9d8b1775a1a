import type { SiteRule } from './siteSnag.js';

/** Bars and conductors which end nowhere in the soil. */
export const noElectrode: SiteRule = ({ ground: { drawn, nodes } }) =>
  drawn && !nodes.some(({ isElectrode }) => isElectrode)
    ? [
        {
          rule: 'no-electrode',
          level: 'stop',
          at: nodes[0].id,
          what: 'No electrode is drawn: nothing leads into the soil',
          why: 'A rod, ring or plate at the entry and the building’s own electrode carry a surge away.',
          remedies: [],
          source: 'common practice, no source',
        },
      ]
    : [];
