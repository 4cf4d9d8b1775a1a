import type { SiteRule } from './siteSnag.js';

/** The building’s own electrode is part of the one system, or a second ground stands beside it unseen. */
export const buildingApart: SiteRule = ({ ground: { nodes } }) => {
  const electrode = nodes.find(({ isElectrode, tied }) => isElectrode && tied);
  if (!electrode || nodes.some(({ kind }) => kind === 'building electrode')) return [];
  return [
    {
      rule: 'building-apart',
      level: 'caution',
      at: electrode.id,
      what: 'The building’s electrode is not drawn',
      why: 'The mains has a ground as well. Bond the two together, or draw it to show that they are; a licensed electrician decides how.',
      remedies: [],
      source: 'NEC 810.21(J), from memory; local code decides',
    },
  ];
};
