import type { SiteRule } from './siteSnag.js';

/** A run names a way which the site no longer has. */
export const wayGone: SiteRule = ({ site, runs }) =>
  runs.flatMap(({ id, name, ways }) => {
    const gone = ways.filter((one) => !site.ways.some((way) => way.id === one));
    if (gone.length === 0) return [];
    return [
      {
        rule: 'way-gone',
        of: id,
        level: 'stop' as const,
        at: id,
        what: `The route of ${name} has a gap`,
        why: `It names ${gone.map((way) => `“${way}”`).join(', ')}, which the site does not have any more.`,
        remedies: [],
        source: 'the site',
      },
    ];
  });
