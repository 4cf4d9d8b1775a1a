import prand from 'pure-rand';

/** A seeded source of normally distributed errors: noise of an instrument. */
export interface Noise {
  /** Mean 0, standard deviation 1. */
  normal: () => number;
  /** From −1 to 1. */
  uniform: () => number;
}

/** The noise which follows from a seed; Box and Muller’s method. */
export function noiseFrom(seed: number): Noise {
  const rng = prand.xoroshiro128plus(seed);
  const unit = (): number => (prand.unsafeUniformIntDistribution(0, 2 ** 30 - 1, rng) + 0.5) / 2 ** 30;
  return {
    normal: () => Math.sqrt(-2 * Math.log(unit())) * Math.cos(2 * Math.PI * unit()),
    uniform: () => 2 * unit() - 1,
  };
}
