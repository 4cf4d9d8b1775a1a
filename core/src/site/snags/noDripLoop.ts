import type { SiteRule } from './siteSnag.js';

/** Water runs along a cable: before it goes in it hangs lower. At least 150 mm; handbook of the trade, from memory. */
export const noDripLoop: SiteRule = ({ site, runs }) =>
  runs.flatMap(({ id, name, ways, slack }) => {
    const entry = ways
      .map((one) => site.ways.find((way) => way.id === one))
      .find((way) => way?.kind === 'wall feed-through');
    if (!entry || (slack.get('drip loop') ?? 0) > 0 || (slack.get('other') ?? 0) > 0) return [];
    return [
      {
        rule: 'drip-loop',
        of: `${entry.id}.${id}`,
        level: 'caution' as const,
        at: entry.id,
        what: `No drip loop for ${name}`,
        why: `Water runs along the cable into ${entry.name}: a loop at least 150 mm below the hole lets it fall off.`,
        remedies: [],
        source: 'common practice, no source',
      },
    ];
  });
