import type { Problem } from '../../quantity/index.js';
import type { Site } from './site.js';

/** What a site names that it does not have, and names it has twice. */
export function checkSite({ points, ways }: Site): Problem[] {
  const known = new Set(points.map(({ id }) => id));
  return [
    ...twice(points, 'point', 'points'),
    ...twice(ways, 'way', 'ways'),
    ...ways.flatMap(({ name, from, to }, k): Problem[] => [
      ...(['from', 'to'] as const)
        .filter((end) => !known.has({ from, to }[end]))
        .map((end) => ({
          code: 'site.way-to-nowhere',
          message: `${name} leads to a point “${{ from, to }[end]}” which the site does not have.`,
          where: `ways[${k}].${end}`,
          remedy: 'Choose one of the site’s points, or add it.',
        })),
      ...(from === to
        ? [
            {
              code: 'site.loop',
              message: `${name} ends where it begins.`,
              where: `ways[${k}].to`,
              remedy: 'Choose another point for one of its ends.',
            },
          ]
        : []),
    ]),
  ];
}

function twice(all: readonly { id: string }[], what: string, where: string): Problem[] {
  const seen = new Set<string>();
  return all.flatMap(({ id }, k): Problem[] => {
    const again = seen.has(id);
    seen.add(id);
    return again
      ? [
          {
            code: 'site.same-id',
            message: `Two ${what}s are called “${id}”.`,
            where: `${where}[${k}].id`,
            remedy: `Give each ${what} its own id.`,
          },
        ]
      : [];
  });
}
