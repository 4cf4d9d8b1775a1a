import { metalsClash } from '../ground/metals.js';
import type { SiteRule } from './siteSnag.js';

/** Copper on zinc or aluminium eats it away in the wet. */
export const metalsTouch: SiteRule = ({ ground: { bonds } }) =>
  bonds.flatMap(({ bond, from, to }) => {
    const metal = bond.joint === 'mounted' ? from.metal : bond.metal;
    const bad = [from, to].find((part) => metalsClash(metal, part.metal));
    if (!bad || bond.bimetal) return [];
    return [
      {
        rule: 'metals-touch',
        level: 'caution' as const,
        at: bond.id,
        what: `${metal} lies on ${bad.metal} at ${bad.name}`,
        why: 'In the wet the less noble of the two corrodes, and the joint opens where nobody looks.',
        remedies: [
          {
            title: 'Use a bimetal clamp',
            detail: bad.name,
            changes: [{ op: 'put bond' as const, bond: { ...bond, bimetal: true } }],
          },
          ...(bond.metal === 'copper'
            ? [
                {
                  title: 'Use tinned copper',
                  detail: bad.name,
                  changes: [{ op: 'put bond' as const, bond: { ...bond, metal: 'tinned copper' as const } }],
                },
              ]
            : []),
        ],
        source: 'common practice, no source',
      },
    ];
  });
