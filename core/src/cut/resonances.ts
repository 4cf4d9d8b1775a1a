import type { Complexes } from '../line/index.js';

/**
 * Frequencies at which a piece looks like a short at its near end: the reactance crosses zero near zero ohm.
 *
 * Between two samples the angle of the reflection is taken as straight, which it is for a line (β grows with f).
 *
 * @param s11 reflection at the near end
 * @param frequencyHz rising, Hz, one for each sample
 * @returns Hz, lowest first
 */
export function resonancesOf({ re, im }: Complexes, frequencyHz: Float64Array): number[] {
  const found: number[] = [];
  for (let k = 1; k < frequencyHz.length; k++) {
    // −Γ turns through the positive real axis where Γ turns through −1.
    const before = Math.atan2(-im[k - 1], -re[k - 1]);
    const after = Math.atan2(-im[k], -re[k]);
    // Angles fall as the frequency rises; a step of more than half a turn is the wrap at the other side.
    if (before > 0 && after <= 0 && before - after < Math.PI)
      found.push(frequencyHz[k - 1] + (frequencyHz[k] - frequencyHz[k - 1]) * (before / (before - after)));
  }
  return found;
}
