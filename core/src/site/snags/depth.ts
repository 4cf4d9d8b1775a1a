import type { SiteFinding, SiteRule } from './siteSnag.js';

/** A spade’s blade of 280 to 300 mm reaches what lies shallower than the second; the first is where garden runs often lie. Handbook of the trade, 8. */
const GARDEN_DEPTH_M = 0.2;
const SPADE_SAFE_M = 0.45;
const UNDER_TRAFFIC_M = 0.6;

/** Depth of what lies in the ground. */
export const depth: SiteRule = ({ ways }) =>
  ways.flatMap(({ way }): SiteFinding[] => {
    const inGround = way.kind === 'direct burial' || way.conditions.includes('buried');
    if (!inGround || way.depthM === undefined) return [];
    const traffic = way.conditions.includes('traffic');
    const wanted = traffic ? UNDER_TRAFFIC_M : SPADE_SAFE_M;
    if (way.depthM >= wanted) return [];
    const mm = (metres: number): string => `${Math.round(metres * 1000)} mm`;
    const isShallow = traffic || way.depthM < GARDEN_DEPTH_M;
    return [
      {
        rule: 'depth',
        level: isShallow ? 'caution' : 'note',
        at: way.id,
        what: isShallow ? `${way.name} lies too shallow` : `A spade reaches ${way.name}`,
        why: `${mm(way.depthM)} deep; ${mm(wanted)} ${traffic ? 'keep wheels off' : 'are below a spade’s blade of 280 to 300 mm; a cover and marker tape keep it off too'}. Your local code decides.`,
        remedies: [
          {
            title: `Dig to ${mm(wanted)}`,
            detail: 'or as the local code asks',
            changes: [{ op: 'put way' as const, way: { ...way, depthM: wanted } }],
          },
        ],
        source: 'common practice, no source; the local code rules',
      },
    ];
  });
