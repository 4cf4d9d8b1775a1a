import type { Way } from '../document/site.js';
import type { SiteFinding, SiteRule } from './siteSnag.js';

/** Distance to mains along a way, mm. Common practice, no source; the local code rules. */
const APART_MM = 300;

/** Mains and power lines beside a way. */
export const separation: SiteRule = ({ ways }) =>
  ways.flatMap(({ way }) => way.beside.flatMap((_, k) => judged(way, k)));

function judged(way: Way, k: number): SiteFinding[] {
  const { what, distanceMm, crossingDegrees } = way.beside[k];
  const base = {
    at: way.id,
    of: `${way.id}.${k}`,
    source: 'common practice, no source; the local code rules',
  };
  const change = (over: Partial<Way['beside'][number]>) => [
    {
      op: 'put way' as const,
      way: { ...way, beside: way.beside.map((old, n) => (n === k ? { ...old, ...over } : old)) },
    },
  ];
  if (what === 'power line')
    return [
      {
        ...base,
        rule: 'power-line',
        level: 'stop',
        what: `A power line is near ${way.name}`,
        why: 'A mast, a ladder or a cable which comes near it kills. Stop, and ask its owner before any work there.',
        remedies: [],
      },
    ];
  if (what !== 'mains') return [];
  if (crossingDegrees !== undefined)
    return crossingDegrees >= 60
      ? []
      : [
          {
            ...base,
            rule: 'crossing',
            level: 'note',
            what: `${way.name} crosses mains at a flat angle`,
            why: `${crossingDegrees}°: at right angles the two share the least length.`,
            remedies: [{ title: 'Cross at 90°', detail: way.name, changes: change({ crossingDegrees: 90 }) }],
          },
        ];
  return distanceMm >= APART_MM
    ? []
    : [
        {
          ...base,
          rule: 'separation',
          level: 'caution',
          what: `${way.name} runs too close to mains`,
          why: `${distanceMm} mm along it; ${APART_MM} mm is usual, or a divider of metal.`,
          remedies: [
            { title: `Keep ${APART_MM} mm off`, detail: way.name, changes: change({ distanceMm: APART_MM }) },
          ],
        },
      ];
}
