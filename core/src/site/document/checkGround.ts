import type { Problem } from '../../quantity/index.js';
import { areaMm2 } from './ground.js';
import type { Site } from './site.js';

/** What the ground of a site names that it does not have. The arrester of a run may be gone with its run: `survey` says so. */
export function checkGround({ points, ground }: Pick<Site, 'points' | 'ground'>): Problem[] {
  const { nodes, bonds, readings } = ground;
  const ids = new Set(nodes.map(({ id }) => id));
  const known = (end: string): boolean => ids.has(end) || end.includes('.');
  const places = new Set(points.map(({ id }) => id));
  const conductors = new Set(bonds.map(({ id }) => id));
  return [
    ...twice(nodes, 'part', 'ground.nodes'),
    ...twice(bonds, 'conductor', 'ground.bonds'),
    ...twice(readings, 'reading', 'ground.readings'),
    ...nodes.flatMap(({ name, point }, k): Problem[] =>
      point === undefined || places.has(point)
        ? []
        : [
            {
              code: 'ground.nowhere',
              message: `${name} stands at a point “${point}” which the site does not have.`,
              where: `ground.nodes[${k}].point`,
              remedy: 'Choose one of the site’s points.',
            },
          ],
    ),
    ...bonds.flatMap(({ section }, k): Problem[] =>
      areaMm2(section) > 0
        ? []
        : [
            {
              code: 'ground.no-section',
              message: 'A conductor has no size.',
              where: `ground.bonds[${k}].section`,
              remedy: 'State its area, or the width and thickness of a strap.',
            },
          ],
    ),
    ...bonds.flatMap(({ from, to }, k): Problem[] => [
      ...(['from', 'to'] as const)
        .filter((end) => !known({ from, to }[end]))
        .map((end) => ({
          code: 'ground.bond-to-nowhere',
          message: `A conductor leads to “${{ from, to }[end]}” which the ground does not have.`,
          where: `ground.bonds[${k}].${end}`,
          remedy: 'Choose one of its bars, electrodes or other parts.',
        })),
      ...(from === to
        ? [
            {
              code: 'ground.loop',
              message: 'A conductor ends where it begins.',
              where: `ground.bonds[${k}].to`,
              remedy: 'Choose another part for one of its ends.',
            },
          ]
        : []),
    ]),
    ...readings.flatMap(({ kind, about }, k): Problem[] =>
      (kind === 'earth' ? ids : conductors).has(about)
        ? []
        : [
            {
              code: 'ground.reading-of-nothing',
              message: `A reading is about “${about}” which the ground does not have.`,
              where: `ground.readings[${k}].about`,
              remedy: 'Choose the electrode or conductor it was taken at.',
            },
          ],
    ),
  ];
}

export function twice(all: readonly { id: string }[], what: string, where: string): Problem[] {
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
