import type { SiteRule } from './siteSnag.js';

/** A connector which does not go through the duct is made after the pull. */
export const connectorPasses: SiteRule = ({ ways }) =>
  ways.flatMap(({ way, pulls }) =>
    pulls.flatMap(({ cable, passes }) => {
      if (!passes || passes.some(Boolean) || !way.duct) return [];
      const made = cable.madeEnds.some((one, k) => one && !passes[k]);
      const widest = Math.min(...cable.connectorsMm);
      return [
        {
          rule: 'connector-passes',
          of: `${way.id}.${cable.runId}`,
          level: made ? ('stop' as const) : ('caution' as const),
          at: way.id,
          what: made
            ? `A made end of ${cable.label} does not go through ${way.name}`
            : `Pull ${cable.label} through ${way.name} before its ends are made`,
          why: `${cable.run}: the connector is ${widest.toFixed(0)} mm wide and the bore ${way.duct.boreMm} mm, with what lies in it.`,
          remedies: [],
          source: 'dimensions of the connectors; common practice, no source',
        },
      ];
    }),
  );
