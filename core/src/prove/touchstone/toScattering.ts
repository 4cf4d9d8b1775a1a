import type { Parameter } from './options.js';

/** A 2x2 complex matrix in the order 11, 12, 21, 22, as (re, im) pairs. */
type Matrix = number[];

const times = (ar: number, ai: number, br: number, bi: number): [number, number] => [
  ar * br - ai * bi,
  ar * bi + ai * br,
];

function over(ar: number, ai: number, br: number, bi: number): [number, number] {
  const size = br * br + bi * bi;
  return [(ar * br + ai * bi) / size, (ai * br - ar * bi) / size];
}

/**
 * Version 2.0 writes Z in ohms, Y in siemens and the mixed kinds in both; version 1.1 has all of them normalised to the reference.
 *
 * @param values one or four pairs, in the order 11, 12, 21, 22
 */
export function normalised(parameter: Parameter, values: readonly number[], referenceOhm: number): number[] {
  const scale = (k: number): number => {
    if (parameter === 'Z') return 1 / referenceOhm;
    if (parameter === 'Y') return referenceOhm;
    if (parameter === 'S') return 1;
    const [first, last] =
      parameter === 'H' ? [1 / referenceOhm, referenceOhm] : [referenceOhm, 1 / referenceOhm];
    return k < 2 ? first : k >= 6 ? last : 1;
  };
  return values.map((value, k) => value * scale(k));
}

/** One-port: S = (z − 1)/(z + 1), S = (1 − y)/(1 + y); H and G have no one-port meaning and are refused. */
export function onePortToS(parameter: Parameter, re: number, im: number): [number, number] {
  if (parameter === 'Z') return over(re - 1, im, re + 1, im);
  if (parameter === 'Y') return over(1 - re, -im, 1 + re, im);
  return [re, im];
}

/**
 * Normalised two-port parameters to S.
 * Source: conversions of D. A. Frickey, IEEE Trans. MTT 42 (1994), real and equal reference impedances.
 */
export function twoPortToS(parameter: Parameter, m: Matrix): Matrix {
  if (parameter === 'S') return m;
  // (x11 ± 1)(x22 ± 1) and x12 x21 make up all four conversions; only the signs differ.
  const [pr, pi] = times(m[0] + 1, m[1], m[6] + 1, m[7]);
  const [qr, qi] = times(m[2], m[3], m[4], m[5]);
  const [dr, di] = [pr - qr, pi - qi];
  const divided = (re: number, im: number): [number, number] => over(re, im, dr, di);
  const minusPlus = times(m[0] - 1, m[1], m[6] + 1, m[7]);
  const plusMinus = times(m[0] + 1, m[1], m[6] - 1, m[7]);
  const oneMinusPlus = times(1 - m[0], -m[1], 1 + m[6], m[7]);
  const plusOneMinus = times(1 + m[0], m[1], 1 - m[6], -m[7]);
  switch (parameter) {
    case 'Z':
      return [
        ...divided(minusPlus[0] - qr, minusPlus[1] - qi),
        ...divided(2 * m[2], 2 * m[3]),
        ...divided(2 * m[4], 2 * m[5]),
        ...divided(plusMinus[0] - qr, plusMinus[1] - qi),
      ];
    case 'Y':
      return [
        ...divided(oneMinusPlus[0] + qr, oneMinusPlus[1] + qi),
        ...divided(-2 * m[2], -2 * m[3]),
        ...divided(-2 * m[4], -2 * m[5]),
        ...divided(plusOneMinus[0] + qr, plusOneMinus[1] + qi),
      ];
    case 'H':
      return [
        ...divided(minusPlus[0] - qr, minusPlus[1] - qi),
        ...divided(2 * m[2], 2 * m[3]),
        ...divided(-2 * m[4], -2 * m[5]),
        ...divided(plusOneMinus[0] + qr, plusOneMinus[1] + qi),
      ];
    case 'G':
      return [
        ...divided(oneMinusPlus[0] + qr, oneMinusPlus[1] + qi),
        ...divided(-2 * m[2], -2 * m[3]),
        ...divided(2 * m[4], 2 * m[5]),
        ...divided(plusMinus[0] - qr, plusMinus[1] - qi),
      ];
  }
}
