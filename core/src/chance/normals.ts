import prand from 'pure-rand';

/**
 * Seeded normal deviates, mean 0 and standard deviation 1: noise and tolerances.
 *
 * Source: the method of Box and Muller.
 */
export function normals(seed: number): () => number {
  const rng = prand.xoroshiro128plus(seed);
  const unit = (): number => (prand.unsafeUniformIntDistribution(0, 2 ** 30 - 1, rng) + 0.5) / 2 ** 30;
  return () => Math.sqrt(-2 * Math.log(unit())) * Math.cos(2 * Math.PI * unit());
}
