import type { Cable } from '../catalog/index.js';

/** Exact by definition of the metre (SI). */
export const SPEED_OF_LIGHT = 299_792_458;

const DB_PER_NEPER = 20 / Math.LN10;

type Law = Pick<Cable, 'k1' | 'k2'>;

/**
 * Matched attenuation of a cable in dB per 100 m: `k1 √f + k2 f`, f in MHz.
 * Source: attenuation law of MIL-DTL-17 sheets and handbook tables.
 */
export function attenuationDbPer100M({ k1, k2 }: Law, frequencyHz: number): number {
  const mhz = frequencyHz / 1e6;
  return k1 * Math.sqrt(mhz) + k2 * mhz;
}

/** Matched loss of a length of cable, dB. */
export const matchedLossDb = (law: Law, frequencyHz: number, lengthM: number): number =>
  (attenuationDbPer100M(law, frequencyHz) * lengthM) / 100;

/** Attenuation constant, neper per metre. */
export const attenuationNeper = (law: Law, frequencyHz: number): number =>
  attenuationDbPer100M(law, frequencyHz) / 100 / DB_PER_NEPER;

/** Phase constant β = 2πf / (VF c), rad/m. */
export const phaseConstant = (velocityFactor: number, frequencyHz: number): number =>
  (2 * Math.PI * frequencyHz) / (velocityFactor * SPEED_OF_LIGHT);
