import { FRICTION } from '../way/pull.js';
import type { SiteRule } from './siteSnag.js';

const newtons = (value: number): string =>
  `${value < 100 ? value.toFixed(0) : Math.round(value / 10) * 10} N`;

/** The pull against what the cable takes. Round bends it grows by the capstan equation (Euler–Eytelwein). */
export const pullTension: SiteRule = ({ ways }) =>
  ways.flatMap(({ way, pulls }) =>
    pulls.flatMap(({ cable, forward, backward, towards, limit }) => {
      const least = towards === 'last' ? forward : backward;
      if (least.end.value <= limit.value) return [];
      const { duct } = way;
      return [
        {
          rule: 'pull',
          of: `${way.id}.${cable.runId}`,
          level: 'stop' as const,
          at: way.id,
          what: `${cable.label} cannot be pulled through ${way.name} in one go`,
          why: `${newtons(least.end.value)} even from the better end; ${cable.cable.name} takes ${newtons(limit.value)} (${limit.source}).`,
          remedies:
            duct && !duct.lubricated
              ? [
                  {
                    title: 'Lubricate it',
                    detail: `friction ${FRICTION.lubricated} instead of ${FRICTION.dry}`,
                    changes: [
                      { op: 'put way' as const, way: { ...way, duct: { ...duct, lubricated: true } } },
                    ],
                  },
                ]
              : [],
          source: 'capstan equation; limits from memory',
        },
      ];
    }),
  );
