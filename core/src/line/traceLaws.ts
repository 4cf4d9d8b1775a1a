import type { Complexes } from './response.js';

interface TwoPort {
  s11: Complexes;
  s21: Complexes;
  s12: Complexes;
  s22: Complexes;
}

/**
 * Largest singular value of a two-port’s scattering matrix at each frequency: no passive one exceeds 1. Sums over columns do not prove it.
 * Source: passivity by the largest singular value of S, standard texts on scattering parameters.
 */
export function largestSingularValue({ s11, s21, s12, s22 }: TwoPort): Float64Array {
  const square = ({ re, im }: Complexes, k: number): number => re[k] ** 2 + im[k] ** 2;
  return s11.re.map((_, k) => {
    const all = square(s11, k) + square(s21, k) + square(s12, k) + square(s22, k);
    // |det S|² is the product of the squared singular values, their sum is the squared Frobenius norm.
    const re =
      s11.re[k] * s22.re[k] - s11.im[k] * s22.im[k] - (s12.re[k] * s21.re[k] - s12.im[k] * s21.im[k]);
    const im =
      s11.re[k] * s22.im[k] + s11.im[k] * s22.re[k] - (s12.re[k] * s21.im[k] + s12.im[k] * s21.re[k]);
    return Math.sqrt((all + Math.sqrt(Math.max(0, all * all - 4 * (re * re + im * im)))) / 2);
  });
}

/** How far a two-port is from reciprocal at each frequency: |S21 − S12|; a cable is, an amplifier is not. */
export const reciprocityError = ({ s21, s12 }: Pick<TwoPort, 's21' | 's12'>): Float64Array =>
  s21.re.map((re, k) => Math.hypot(re - s12.re[k], s21.im[k] - s12.im[k]));
