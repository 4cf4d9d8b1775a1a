/**
 * Electrical length of each of the two sections of a twelfth-wave match, degrees: atan √(B / (B² + B + 1)), B = Z1/Z2.
 *
 * Next to Z1 lies a section of Z2, next to Z2 one of Z1: two cables that are there match each other without a third.
 * Source: the twelfth-wave transformer of amateur handbooks (Bramham, 1961).
 * @example twelfthWaveDegrees(50, 75).toFixed(1) // '29.3'
 */
export const twelfthWaveDegrees = (z1Ohm: number, z2Ohm: number): number => {
  const b = z1Ohm / z2Ohm;
  return (Math.atan(Math.sqrt(b / (b * b + b + 1))) * 180) / Math.PI;
};

/**
 * The shortest odd number of quarter waves which reaches a distance: an odd one turns an impedance round, an even one repeats it.
 *
 * @param quarterM length of a quarter wave in this cable, m
 */
export function oddQuartersThatReach(
  distanceM: number,
  quarterM: number,
): { quarters: number; lengthM: number } {
  const least = Math.max(1, Math.ceil(distanceM / quarterM - 1e-9));
  const quarters = least % 2 === 1 ? least : least + 1;
  return { quarters, lengthM: quarters * quarterM };
}
