import type { SiteRule } from './siteSnag.js';

/** Cables go outdoors, and nobody has drawn what they are tied to: that is not known, never done. */
export const groundUnknown: SiteRule = ({ ground, ways }) => {
  const outdoors = ways.filter(({ way, cables }) => cables.length > 0 && way.conditions.includes('outside'));
  if (ground.drawn || outdoors.length === 0) return [];
  return [
    {
      rule: 'ground-unknown',
      level: 'caution',
      at: outdoors[0].way.id,
      what: 'What this site is grounded to is not drawn',
      why: 'Its cables go outdoors. Draw the entry bar, the electrodes and the conductors between them.',
      remedies: [],
      source: 'common practice, no source',
    },
  ];
};
