import { pointOf } from '../way/path.js';
import type { SiteRule } from './siteSnag.js';

/** A hole in the wall falls to the outside, else water runs in. Handbook of the trade, from memory. */
export const entrySlope: SiteRule = ({ site, ways }) =>
  ways.flatMap(({ way }) => {
    if (way.kind !== 'wall feed-through') return [];
    const ends = [pointOf(site, way.from), pointOf(site, way.to)];
    const outside = ends.find(({ kind }) => kind === 'entry');
    const inside = ends.find((point) => point !== outside);
    if (!outside || !inside || inside.kind === 'entry' || outside.zM <= inside.zM) return [];
    const riseMm = Math.round((outside.zM - inside.zM) * 1000);
    return [
      {
        rule: 'entry-slope',
        level: 'caution' as const,
        at: way.id,
        what: `${way.name} falls to the inside`,
        why: `${outside.name} lies ${riseMm} mm higher than ${inside.name}: water that gets into the hole runs in. It falls to the outside, and has a boot of the cables’ size.`,
        remedies: [
          {
            title: `Lower ${outside.name} to the height of ${inside.name}`,
            detail: 'or drill the hole anew',
            changes: [{ op: 'put point' as const, point: { ...outside, zM: inside.zM } }],
          },
        ],
        source: 'common practice, no source',
      },
    ];
  });
