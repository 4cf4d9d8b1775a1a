import type { Element } from './element.js';
import { cascadeOver } from './cascade.js';
import { loadAt, type Complex, type Complexes } from './response.js';

/** Scattering parameters of a two-port against one real reference impedance. */
export interface Scattering {
  s11: Complexes;
  s21: Complexes;
  s12: Complexes;
  s22: Complexes;
}

const complexes = (count: number): Complexes => ({
  re: new Float64Array(count),
  im: new Float64Array(count),
});

/**
 * Scattering parameters of elements in cascade, source first.
 *
 * @param frequenciesHz frequencies, Hz, any spacing
 * @param referenceOhm of both ports
 * Source: ABCD to S, Pozar, Microwave Engineering, table of conversions.
 */
export function scattering(
  elements: readonly Element[],
  frequenciesHz: Float64Array,
  referenceOhm = 50,
): Scattering {
  const count = frequenciesHz.length;
  const out: Scattering = {
    s11: complexes(count),
    s21: complexes(count),
    s12: complexes(count),
    s22: complexes(count),
  };
  cascadeOver(elements, frequenciesHz, (total, k) => write(total, referenceOhm, out, k));
  return out;
}

function write(m: Float64Array, z: number, { s11, s21, s12, s22 }: Scattering, k: number): void {
  const br = m[2] / z;
  const bi = m[3] / z;
  const cr = m[4] * z;
  const ci = m[5] * z;
  const dr = m[0] + br + cr + m[6];
  const di = m[1] + bi + ci + m[7];
  const size = dr * dr + di * di;
  const put = (to: Complexes, re: number, im: number): void => {
    to.re[k] = (re * dr + im * di) / size;
    to.im[k] = (im * dr - re * di) / size;
  };
  put(s11, m[0] + br - cr - m[6], m[1] + bi - ci - m[7]);
  put(s21, 2, 0);
  // 2 (AD − BC): reciprocal elements have a determinant of one, computed here all the same.
  const detRe = m[0] * m[6] - m[1] * m[7] - (m[2] * m[4] - m[3] * m[5]);
  const detIm = m[0] * m[7] + m[1] * m[6] - (m[2] * m[5] + m[3] * m[4]);
  put(s12, 2 * detRe, 2 * detIm);
  put(s22, m[6] + br - cr - m[0], m[7] + bi - ci - m[1]);
}

/**
 * Reflection at the source end with a load at the far end: Γin = S11 + S12 S21 ΓL / (1 − S22 ΓL).
 *
 * @param closed reflection of the load at each frequency, or one for all
 */
export function loaded({ s11, s21, s12, s22 }: Scattering, closed: Complex | Complexes): Complexes {
  const out = complexes(s11.re.length);
  const at = loadAt(closed);
  for (let k = 0; k < s11.re.length; k++) {
    const load = at(k);
    const dr = 1 - (s22.re[k] * load.re - s22.im[k] * load.im);
    const di = -(s22.re[k] * load.im + s22.im[k] * load.re);
    const tr = s12.re[k] * s21.re[k] - s12.im[k] * s21.im[k];
    const ti = s12.re[k] * s21.im[k] + s12.im[k] * s21.re[k];
    const nr = tr * load.re - ti * load.im;
    const ni = tr * load.im + ti * load.re;
    const size = dr * dr + di * di;
    out.re[k] = s11.re[k] + (nr * dr + ni * di) / size;
    out.im[k] = s11.im[k] + (ni * dr - nr * di) / size;
  }
  return out;
}
