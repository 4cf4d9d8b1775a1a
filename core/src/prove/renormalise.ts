import type { Complexes } from '../line/index.js';
import { emptySeries, type Trace } from './trace.js';

type Pair = readonly [re: number, im: number];
const times = ([ar, ai]: Pair, [br, bi]: Pair): Pair => [ar * br - ai * bi, ar * bi + ai * br];
const minus = ([ar, ai]: Pair, [br, bi]: Pair): Pair => [ar - br, ai - bi];
const over = ([ar, ai]: Pair, [br, bi]: Pair): Pair => {
  const size = br * br + bi * bi;
  return [(ar * br + ai * bi) / size, (ai * br - ar * bi) / size];
};

/**
 * The same device against another reference impedance of both ports: a sweep taken with 50 ohm says of a 75 ohm run what it is in 75 ohm.
 *
 * S′ = (S − r)(1 − r·S)⁻¹ with r = (R′ − R)/(R′ + R), real and equal references. Source: Kurokawa, IEEE Trans. MTT 13 (1965).
 */
export function renormalised(trace: Trace, referenceOhm: number): Trace {
  if (trace.referenceOhm === referenceOhm) return trace;
  const r = (referenceOhm - trace.referenceOhm) / (referenceOhm + trace.referenceOhm);
  const { s11, s21, s12, s22 } = trace.s;
  const count = trace.frequencyHz.length;
  const at = ({ re, im }: Complexes, k: number): Pair => [re[k], im[k]];
  const put = ({ re, im }: Complexes, k: number, [x, y]: Pair): void => void ([re[k], im[k]] = [x, y]);
  const out = {
    s11: emptySeries(count),
    s21: emptySeries(count),
    s12: emptySeries(count),
    s22: emptySeries(count),
  };
  if (!s21 || !s12 || !s22) {
    for (let k = 0; k < count; k++) {
      const [re, im] = at(s11, k);
      put(out.s11, k, over([re - r, im], [1 - r * re, -r * im]));
    }
    return { ...trace, referenceOhm, s: { s11: out.s11 } };
  }
  for (let k = 0; k < count; k++) {
    const [a, b, c, d] = [at(s11, k), at(s12, k), at(s21, k), at(s22, k)];
    // Of 1 − r·S, and its determinant.
    const [e, h]: [Pair, Pair] = [
      [1 - r * a[0], -r * a[1]],
      [1 - r * d[0], -r * d[1]],
    ];
    const bc = times(b, c);
    const det = minus(times(e, h), [r * r * bc[0], r * r * bc[1]]);
    const scaled = (by: number, [x, y]: Pair): Pair => [by * x, by * y];
    const [am, dm]: [Pair, Pair] = [
      [a[0] - r, a[1]],
      [d[0] - r, d[1]],
    ];
    const plus = ([x, y]: Pair, [u, v]: Pair): Pair => [x + u, y + v];
    put(out.s11, k, over(plus(times(am, h), scaled(r, bc)), det));
    put(out.s22, k, over(plus(times(dm, e), scaled(r, bc)), det));
    put(out.s12, k, over(scaled(1 - r * r, b), det));
    put(out.s21, k, over(scaled(1 - r * r, c), det));
  }
  return { ...trace, referenceOhm, s: out };
}
