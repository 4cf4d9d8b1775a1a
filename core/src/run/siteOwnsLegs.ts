import type { Design } from './design/design.js';
import type { Snag } from './snags/snag.js';

/** Of a run which lies in ways of a site: what would change its legs is done where the ways are. */
export function siteOwnsLegs(snags: readonly Snag[], { route }: Design): Snag[] {
  if (!route) return [...snags];
  return snags.map((snag) => ({
    ...snag,
    remedies: snag.remedies.map((remedy) =>
      remedy.changes.some(({ op }) => op === 'set legs') ? { ...remedy, changes: [], open: 'route' } : remedy,
    ),
  }));
}
