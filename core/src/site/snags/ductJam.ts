import { jamRatio } from '../way/duct.js';
import type { SiteRule } from './siteSnag.js';

/** Three equal cables which wedge side by side. Common practice, no source. */
export const ductJam: SiteRule = ({ ways }) =>
  ways.flatMap(({ way, cables }) => {
    const ratio =
      way.duct &&
      jamRatio(
        way.duct.boreMm,
        cables.map(({ cable }) => cable.jacketMm),
      );
    if (ratio === undefined) return [];
    return [
      {
        rule: 'duct-jam',
        level: 'caution' as const,
        at: way.id,
        what: `Three equal cables can jam in ${way.name}`,
        why: `Its bore is ${ratio.toFixed(1)} times their diameter: between 2.8 and 3.2 they lie side by side and wedge at a bend.`,
        remedies: [],
        source: 'common practice, no source',
      },
    ];
  });
