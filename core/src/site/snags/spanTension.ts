import type { SiteRule } from './siteSnag.js';

/** An aerial cable which its own weight and ice pull too hard wants a messenger. */
export const spanTension: SiteRule = ({ ways }) =>
  ways.flatMap(({ way, tensions }) =>
    tensions.flatMap(({ cable, tension, limit }) => {
      if (tension.value <= limit.value) return [];
      const loads = [
        ...(way.iceMm ? [`${way.iceMm} mm of ice`] : []),
        ...(way.windMps ? [`a wind of ${way.windMps} m/s`] : []),
      ];
      const load = loads.length > 0 ? ` with ${loads.join(' and ')}` : '';
      return [
        {
          rule: 'span',
          of: `${way.id}.${cable.runId}`,
          level: 'caution' as const,
          at: way.id,
          what: `${cable.label} is too heavy to hang by itself in ${way.name}`,
          why: `${Math.round(tension.value)} N at its supports${load}; ${cable.cable.name} takes ${Math.round(limit.value)} N. Let it hang lower, or tie it to a messenger wire.`,
          remedies: [],
          source: tension.source,
        },
      ];
    }),
  );
