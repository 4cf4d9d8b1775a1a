import { applyChange } from './design/change.js';
import type { Design } from './design/design.js';
import type { Snag } from './snags/snag.js';

/** How many stops each rule has. */
function stopsByRule(snags: readonly Snag[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { level, rule } of snags) if (level === 'stop') counts.set(rule, (counts.get(rule) ?? 0) + 1);
  return counts;
}

/**
 * The problems with those remedies only which do not make something worse: no rule may have more stops after one than before.
 *
 * @param look what the rules have against a design
 */
export function harmlessOnly(
  snags: readonly Snag[],
  design: Design,
  look: (changed: Design) => Snag[],
): Snag[] {
  const before = stopsByRule(snags);
  return snags.map((snag) => ({
    ...snag,
    remedies: snag.remedies.filter(({ changes }) => {
      if (changes.length === 0) return true;
      const after = stopsByRule(look(changes.reduce(applyChange, design)));
      return [...after].every(([rule, count]) => count <= (before.get(rule) ?? 0));
    }),
  }));
}
