import type { SiteRule } from './siteSnag.js';

/** Two rods nearer than one rod’s length share the same soil. */
export const rodsClose: SiteRule = ({ ground: { nodes } }) => {
  const rods = nodes.filter(({ kind, place }) => kind === 'rod' && place);
  return rods.flatMap((one, k) =>
    rods.slice(k + 1).flatMap((other) => {
      const [a, b] = [one.place, other.place];
      const needM = Math.max(one.node?.electrode?.lengthM ?? 0, other.node?.electrode?.lengthM ?? 0);
      const metres = a && b ? Math.hypot(b.xM - a.xM, b.yM - a.yM) : Infinity;
      if (metres >= needM) return [];
      return [
        {
          rule: 'rods-close',
          level: 'note' as const,
          at: other.id,
          of: `${one.id}.${other.id}`,
          what: `${one.name} and ${other.name} are close together`,
          why: `${metres.toFixed(1)} m apart: at least one rod’s length, ${needM.toFixed(1)} m, or the second adds little.`,
          remedies: [],
          source: 'IEEE Std 142, from memory',
        },
      ];
    }),
  );
};
