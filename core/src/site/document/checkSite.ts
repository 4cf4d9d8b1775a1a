import type { Problem } from '../../quantity/index.js';
import { checkDay } from './day.js';
import { checkGround, twice } from './checkGround.js';
import { checkPicture } from './planPicture.js';
import type { Site } from './site.js';

/** What a site names that it does not have, and names it has twice. */
export function checkSite(site: Site): Problem[] {
  const { points, ways } = site;
  const known = new Set(points.map(({ id }) => id));
  return [
    ...(site.picture ? checkPicture(site.picture) : []),
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
    ...checkGround(site),
    ...(site.day ? checkDay(site.day, 'day') : []),
    ...(site.nextDays ?? []).flatMap((day, k) => checkDay(day, `nextDays[${k}]`)),
  ];
}
