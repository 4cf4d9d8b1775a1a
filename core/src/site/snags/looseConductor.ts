import type { SiteRule } from './siteSnag.js';

/** A conductor to the arrester of a run which has none any more. */
export const looseConductor: SiteRule = ({ ground: { loose, nodes } }) =>
  loose.map((bond) => {
    const end = nodes.find(({ id }) => id === bond.from || id === bond.to);
    return {
      rule: 'loose-conductor',
      level: 'note' as const,
      at: end?.id ?? bond.id,
      of: bond.id,
      what: `A conductor${end ? ` at ${end.name}` : ''} leads to an arrester which is gone`,
      why: 'Its run was deleted, or has no arrester any more.',
      remedies: [
        { title: 'Remove the conductor', detail: '', changes: [{ op: 'remove bond' as const, id: bond.id }] },
      ],
      source: 'the drawing',
    };
  });
