/** Magnitude of the reflection where a line of `z1` ohm meets one of `z2` ohm, both real. */
export const reflection = (z1: number, z2: number): number => Math.abs(z2 - z1) / (z2 + z1);

/** Return loss in dB of a step between two real impedances in ohm. */
export const reflectionDb = (z1: number, z2: number): number => returnLossDb(reflection(z1, z2));

/** Return loss in dB, positive, of a reflection magnitude 0..1. */
export const returnLossDb = (magnitude: number): number => -20 * Math.log10(magnitude);

/** Standing-wave ratio of a reflection magnitude 0..1; infinite at 1. */
export const swrFromReflection = (magnitude: number): number =>
  magnitude >= 1 ? Infinity : (1 + magnitude) / (1 - magnitude);

/**
 * SWR at the far end behind the one seen at the near end: what the line loses both ways hides it.
 *
 * @param lossDb matched loss one way, dB
 * Source: |Γ load| = |Γ input| · 10^(loss/10), The ARRL Antenna Book; beyond a total reflection it is infinite.
 */
export const swrBehindLoss = (inputReflection: number, lossDb: number): number =>
  swrFromReflection(inputReflection * 10 ** (lossDb / 10));

/** Reflection magnitude of a directional wattmeter’s two readings, W. */
export const reflectionFromPowers = (forwardW: number, reflectedW: number): number =>
  Math.sqrt(reflectedW / forwardW);

/** Reflection magnitude of a standing-wave ratio at or above 1. */
export const reflectionFromSwr = (swr: number): number => (swr === Infinity ? 1 : (swr - 1) / (swr + 1));

/**
 * Total loss of a mismatched line, dB.
 *
 * @param matchedLossDb loss of the line into its own impedance, dB
 * @param loadReflection reflection magnitude at the load, 0..1
 * Source: total loss formula of The ARRL Antenna Book, 10 log10[(A² − |r|²)/(A(1 − |r|²))], A = 10^(ML/10).
 */
export function totalLossDb(matchedLossDb: number, loadReflection: number): number {
  const a = 10 ** (matchedLossDb / 10);
  const r2 = loadReflection ** 2;
  return 10 * Math.log10((a * a - r2) / (a * (1 - r2)));
}

/**
 * Peak voltage at a standing-wave maximum from the power *delivered* (net), V.
 * `sqrt(2 P Z0 SWR)`; standard transmission-line theory.
 */
export const peakVoltageFromNet = (netW: number, z0Ohm: number, swr: number): number =>
  Math.sqrt(2 * netW * z0Ohm * swr);

/**
 * Peak voltage at a standing-wave maximum from the *forward* power, V.
 * `sqrt(2 P Z0) (1 + |r|)`; standard transmission-line theory.
 */
export const peakVoltageFromForward = (forwardW: number, z0Ohm: number, magnitude: number): number =>
  Math.sqrt(2 * forwardW * z0Ohm) * (1 + magnitude);
