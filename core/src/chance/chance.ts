import prand, { type RandomGenerator } from 'pure-rand';

/** Seeded chance for drills: the same seed gives the same question. */

/** A missed question comes this many times as often as another. */
export const MISSED_WEIGHT = 6;

/** A whole number from 0 up to, not with, `count`. */
export const below = (rng: RandomGenerator, count: number): number =>
  prand.unsafeUniformIntDistribution(0, count - 1, rng);

/** The same items in another order; the given ones are not touched. */
export function shuffled<T>(items: readonly T[], rng: RandomGenerator): T[] {
  const out = [...items];
  for (let k = out.length - 1; k > 0; k--) {
    const other = below(rng, k + 1);
    [out[k], out[other]] = [out[other], out[k]];
  }
  return out;
}
