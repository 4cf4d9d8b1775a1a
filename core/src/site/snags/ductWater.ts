import type { SiteRule } from './siteSnag.js';

/** A duct which cannot drain, and one without a cord for the next cable. Common practice, no source. */
export const ductWater: SiteRule = ({ ways }) =>
  ways.flatMap(({ way }) => {
    const { duct } = way;
    if (!duct || way.conditions.includes('inside')) return [];
    return [
      ...(duct.drained
        ? []
        : [
            {
              rule: 'duct-drain',
              level: 'caution' as const,
              at: way.id,
              what: `${way.name} does not drain`,
              why: 'Every duct fills with water in the end: a hole at its lowest point lets it out.',
              remedies: [
                {
                  title: 'Drain it at the lowest point',
                  detail: 'a hole, or a pit with gravel',
                  changes: [{ op: 'put way' as const, way: { ...way, duct: { ...duct, drained: true } } }],
                },
              ],
              source: 'common practice, no source',
            },
          ]),
      ...(duct.cord
        ? []
        : [
            {
              rule: 'duct-cord',
              level: 'note' as const,
              at: way.id,
              what: `No pull cord in ${way.name}`,
              why: 'A cord left in it takes the next cable.',
              remedies: [
                {
                  title: 'Leave a cord in it',
                  detail: 'pulled in with the cable',
                  changes: [{ op: 'put way' as const, way: { ...way, duct: { ...duct, cord: true } } }],
                },
              ],
              source: 'common practice, no source',
            },
          ]),
    ];
  });
