import type { SiteRule } from './siteSnag.js';

/** How deep a low-risk garden run lies at least; local code rules. Common practice, no source. */
const LEAST_DEPTH_M = 0.2;
const UNDER_TRAFFIC_M = 0.6;

/** Depth of what lies in the ground. */
export const depth: SiteRule = ({ ways }) =>
  ways.flatMap(({ way }) => {
    const inGround = way.kind === 'direct burial' || way.conditions.includes('buried');
    if (!inGround || way.depthM === undefined) return [];
    const wanted = way.conditions.includes('traffic') ? UNDER_TRAFFIC_M : LEAST_DEPTH_M;
    if (way.depthM >= wanted) return [];
    return [
      {
        rule: 'depth',
        level: 'caution' as const,
        at: way.id,
        what: `${way.name} lies too shallow`,
        why: `${Math.round(way.depthM * 1000)} mm deep; ${Math.round(wanted * 1000)} mm keep a spade${wanted === UNDER_TRAFFIC_M ? ' and wheels' : ''} off. Your local code decides.`,
        remedies: [
          {
            title: `Dig to ${Math.round(wanted * 1000)} mm`,
            detail: 'or as the local code asks',
            changes: [{ op: 'put way' as const, way: { ...way, depthM: wanted } }],
          },
        ],
        source: 'common practice, no source; the local code rules',
      },
    ];
  });
