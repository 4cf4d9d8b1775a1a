import { normals } from '@kobran/core';
import prand from 'pure-rand';

/** A seeded source of errors: noise of an instrument, and how it errs every day. */
export interface Noise {
  /** Mean 0, standard deviation 1. */
  normal: () => number;
  /** From −1 to 1. */
  uniform: () => number;
}

const STEPS = 2 ** 30;

/** The noise which follows from a seed. */
export function noiseFrom(seed: number): Noise {
  const rng = prand.xoroshiro128plus(seed);
  return {
    normal: normals(seed),
    uniform: () => prand.unsafeUniformIntDistribution(-STEPS, STEPS, rng) / STEPS,
  };
}
