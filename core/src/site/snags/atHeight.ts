import type { SiteRule } from './siteSnag.js';

/** Above this rise work is work at height, m. Common practice, no source; local rules decide. */
export const HEIGHT_M = 2;

/** The cautions of work at height, on the ways where the hand is. */
export const atHeight: SiteRule = ({ ways }) =>
  ways.flatMap(({ way, riseM, cables }) => {
    const aloft = (way.kind === 'tower leg' && Math.abs(riseM) > HEIGHT_M) || way.kind === 'aerial';
    if (!aloft || cables.length === 0) return [];
    return [
      {
        rule: 'at-height',
        level: 'note' as const,
        at: way.id,
        what: `Work at height on ${way.name}`,
        why: 'Look for power lines first. Fall arrest on, nobody below, never alone, not in wind or storm. Local rules and trained people decide.',
        remedies: [],
        source: 'common practice, no source',
      },
    ];
  });
