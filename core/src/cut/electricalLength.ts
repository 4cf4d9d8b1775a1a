import { SPEED_OF_LIGHT } from '../line/index.js';
import { METRES_PER_FOOT } from '../quantity/index.js';

/** Half wave in feet times MHz: the constant of a thin wire in air, with its end effect. Common practice, no source. */
export const SHOP_CONSTANT_FT_MHZ = 468;

/** An electrical length asked for at a frequency. */
export interface ElectricalTarget {
  frequencyHz: number;
  degrees: number;
}

/**
 * Physical length of line with a given electrical length, m: `VF · c / f · degrees / 360`.
 *
 * @param velocityFactor 0..1
 * @example physicalLengthM({ frequencyHz: 27.2e6, degrees: 90 }, 0.695) // 1.915
 */
export const physicalLengthM = ({ frequencyHz, degrees }: ElectricalTarget, velocityFactor: number): number =>
  ((velocityFactor * SPEED_OF_LIGHT) / frequencyHz) * (degrees / 360);

/** Electrical length of a line in degrees; the inverse of {@link physicalLengthM}. */
export const electricalDegrees = (lengthM: number, frequencyHz: number, velocityFactor: number): number =>
  (lengthM * frequencyHz * 360) / (velocityFactor * SPEED_OF_LIGHT);

/** The same by the shop constant: half wave in feet = 468 / f(MHz), times VF and degrees / 180. */
export const shopLengthM = ({ frequencyHz, degrees }: ElectricalTarget, velocityFactor: number): number =>
  ((SHOP_CONSTANT_FT_MHZ / (frequencyHz / 1e6)) * METRES_PER_FOOT * velocityFactor * degrees) / 180;

/** Both schools side by side, for one target. Lengths in m between the reference planes of the ends. */
export interface Schools {
  exactM: number;
  shopM: number;
  /** exact minus shop, m. */
  differenceM: number;
  /** The same as phase at the target's frequency, degrees. */
  differenceDeg: number;
}

/** Exact against shop constant, with the difference in length and in degrees. */
export function compareSchools(target: ElectricalTarget, velocityFactor: number): Schools {
  const exactM = physicalLengthM(target, velocityFactor);
  const shopM = shopLengthM(target, velocityFactor);
  const differenceM = exactM - shopM;
  return {
    exactM,
    shopM,
    differenceM,
    differenceDeg: electricalDegrees(differenceM, target.frequencyHz, velocityFactor),
  };
}
