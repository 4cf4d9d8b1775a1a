import type { Complexes } from './response.js';

/** What closes a run. Ohm, henry and farad; 0 henry and 0 farad are no inductor and no capacitor. */
export type Load =
  | { kind: 'constant'; re: number; im: number }
  | { kind: 'series' | 'parallel'; ohm: number; henry: number; farad: number }
  /** A measured reflection; beyond its frequencies the nearest sample holds. */
  | {
      kind: 'trace';
      referenceOhm: number;
      frequencyHz: ArrayLike<number>;
      re: ArrayLike<number>;
      im: ArrayLike<number>;
    };

/** An open end as a number, ohm. */
const OPEN_OHM = 1e12;

/**
 * Impedance of a load at each frequency, ohm.
 *
 * R, L, C one after the other: R + j(ωL − 1/ωC); side by side: 1/(1/R + j(ωC − 1/ωL)). A trace is straight between its samples.
 */
export function loadImpedance(load: Load, frequencyHz: Float64Array): Complexes {
  const out: Complexes = {
    re: new Float64Array(frequencyHz.length),
    im: new Float64Array(frequencyHz.length),
  };
  for (let k = 0; k < frequencyHz.length; k++) [out.re[k], out.im[k]] = impedanceAt(load, frequencyHz[k]);
  return out;
}

function impedanceAt(load: Load, frequencyHz: number): [re: number, im: number] {
  const omega = 2 * Math.PI * frequencyHz;
  switch (load.kind) {
    case 'constant':
      return [load.re, load.im];
    case 'series':
      return [load.ohm, omega * load.henry - (load.farad === 0 ? 0 : 1 / (omega * load.farad))];
    case 'parallel': {
      const siemens = 1 / load.ohm;
      const susceptance = omega * load.farad - (load.henry === 0 ? 0 : 1 / (omega * load.henry));
      const size = siemens * siemens + susceptance * susceptance;
      return [siemens / size, -susceptance / size];
    }
    case 'trace': {
      const [re, im] = reflectionAt(load, frequencyHz);
      // Z = Z0 (1 + Γ)/(1 − Γ)
      const size = (1 - re) * (1 - re) + im * im;
      if (size < 1e-18) return [OPEN_OHM, 0];
      return [
        (load.referenceOhm * Math.max(0, 1 - re * re - im * im)) / size,
        (load.referenceOhm * 2 * im) / size,
      ];
    }
  }
}

function reflectionAt(
  { frequencyHz, re, im }: Extract<Load, { kind: 'trace' }>,
  at: number,
): [re: number, im: number] {
  let high = 0;
  while (high < frequencyHz.length && frequencyHz[high] < at) high++;
  if (high === 0) return [re[0], im[0]];
  if (high === frequencyHz.length) return [re[high - 1], im[high - 1]];
  const share = (at - frequencyHz[high - 1]) / (frequencyHz[high] - frequencyHz[high - 1]);
  return [re[high - 1] + share * (re[high] - re[high - 1]), im[high - 1] + share * (im[high] - im[high - 1])];
}

/** Reflection of impedances against a real reference, ohm. */
export function reflectionOf({ re, im }: Complexes, referenceOhm: number): Complexes {
  const out: Complexes = { re: new Float64Array(re.length), im: new Float64Array(re.length) };
  for (let k = 0; k < re.length; k++) {
    const size = (re[k] + referenceOhm) ** 2 + im[k] ** 2;
    out.re[k] = (re[k] ** 2 - referenceOhm ** 2 + im[k] ** 2) / size;
    out.im[k] = (2 * im[k] * referenceOhm) / size;
  }
  return out;
}
