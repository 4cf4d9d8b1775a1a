import { applyChange } from './design/change.js';
import type { Design } from './design/design.js';
import type { Snag } from './snags/snag.js';

/**
 * The problems with those remedies only which do not make something worse: no rule may have more stops after one than before.
 *
 * @param before how often each rule stops the design as it is
 * @param stopsOf the same of a changed one
 */
export const harmlessOnly = (
  snags: readonly Snag[],
  design: Design,
  before: ReadonlyMap<string, number>,
  stopsOf: (changed: Design) => ReadonlyMap<string, number>,
): Snag[] =>
  snags.map((snag) => ({
    ...snag,
    remedies: snag.remedies.filter(({ changes }) => {
      if (changes.length === 0) return true;
      const after = stopsOf(changes.reduce(applyChange, design));
      return [...after].every(([rule, count]) => count <= (before.get(rule) ?? 0));
    }),
  }));
