import { EASY_SHARE } from '../way/aerial.js';
import type { SiteRule } from './siteSnag.js';

/** An aerial cable which its own weight and ice pull too hard wants a messenger. */
export const spanTension: SiteRule = ({ ways }) =>
  ways.flatMap(({ way, tensions }) =>
    tensions.flatMap(({ cable, tension, limit }) => {
      if (tension.value <= EASY_SHARE * limit.value) return [];
      const over = tension.value > limit.value;
      const loads = [
        ...(way.iceMm ? [`${way.iceMm} mm of ice`] : []),
        ...(way.windMps ? [`a wind of ${way.windMps} m/s`] : []),
      ];
      const load = loads.length > 0 ? ` with ${loads.join(' and ')}` : '';
      return [
        {
          rule: 'span',
          of: `${way.id}.${cable.runId}`,
          level: over ? ('caution' as const) : ('note' as const),
          at: way.id,
          what: `${cable.label} ${over ? 'is too heavy' : 'is near the limit'} to hang by itself in ${way.name}`,
          why: `${Math.round(tension.value)} N at its supports${load}; ${cable.cable.name} takes ${Math.round(limit.value)} N for good, a third of what it may be pulled with. Let it hang lower, or tie it to a messenger wire.`,
          remedies: [],
          source: tension.source,
        },
      ];
    }),
  );
