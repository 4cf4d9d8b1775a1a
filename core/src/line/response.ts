import { cascadeOver } from './cascade.js';
import { multiplyAbcd, writeAbcd, type Abcd, type Element } from './element.js';

/** A complex number as a pair. */
export interface Complex {
  re: number;
  im: number;
}

/** A complex quantity over frequency; both arrays have one entry per frequency. */
export interface Complexes {
  re: Float64Array;
  im: Float64Array;
}

/** Response of a cascade at each frequency; every array has one entry per frequency. */
export interface Response {
  frequencyHz: Float64Array;
  /** Reflection at the source end, magnitude 0..1 against the reference impedance. */
  reflection: Float64Array;
  /** Net power into the load over *forward* (available) power from the source, dB, negative or zero. */
  transmissionDb: Float64Array;
  /** Net power into the load over net power into the run, dB: what the run itself turns into heat. */
  heatLossDb: Float64Array;
}

/**
 * The chain matrix of elements in cascade at one frequency, source first.
 *
 * @returns 8 numbers A, B, C, D as (re, im)
 */
export function cascade(elements: readonly Element[], frequencyHz: number): Abcd {
  const total = new Float64Array([1, 0, 0, 0, 0, 0, 1, 0]);
  const matrix = new Float64Array(8);
  for (const element of elements) {
    writeAbcd(element, frequencyHz, matrix);
    multiplyAbcd(total, matrix, total);
  }
  return total;
}

/**
 * Sweeps a cascade between a matched source and a load.
 *
 * @param elements source first
 * @param load load impedance, ohm; one for all frequencies or one for each
 * @param frequenciesHz frequencies, Hz, any spacing
 * @param referenceOhm impedance of the source and of the reflection
 * @param over how the cascade is multiplied: one which remembers its last does less after a change
 */
export function sweep(
  elements: readonly Element[],
  load: Complex | Complexes,
  frequenciesHz: Float64Array,
  referenceOhm = 50,
  over = cascadeOver,
): Response {
  const count = frequenciesHz.length;
  const result: Response = {
    frequencyHz: frequenciesHz,
    reflection: new Float64Array(count),
    transmissionDb: new Float64Array(count),
    heatLossDb: new Float64Array(count),
  };
  const at = loadAt(load);
  over(elements, frequenciesHz, (total, k) => terminate(total, at(k), referenceOhm, result, k));
  return result;
}

/** The load of each frequency. */
export const loadAt = (load: Complex | Complexes): ((k: number) => Complex) =>
  isComplex(load) ? () => load : (k) => ({ re: load.re[k], im: load.im[k] });

const isComplex = (load: Complex | Complexes): load is Complex => typeof load.re === 'number';

/** With 1 V across the load, what stands at the source end: powers and reflection. */
function terminate(m: Abcd, load: Complex, z0: number, out: Response, k: number): void {
  const size = load.re * load.re + load.im * load.im;
  const ir = load.re / size;
  const ii = -load.im / size;
  const vr = m[0] + m[2] * ir - m[3] * ii;
  const vi = m[1] + m[2] * ii + m[3] * ir;
  const cr = m[4] + m[6] * ir - m[7] * ii;
  const ci = m[5] + m[6] * ii + m[7] * ir;
  const forward = square(vr + z0 * cr, vi + z0 * ci) / (4 * z0);
  const reflected = square(vr - z0 * cr, vi - z0 * ci) / (4 * z0);
  const delivered = ir;
  out.reflection[k] = Math.sqrt(reflected / forward);
  out.transmissionDb[k] = 10 * Math.log10(delivered / forward);
  // Re(V·I*) rather than forward less reflected: with nearly total reflection their difference has no digits left.
  out.heatLossDb[k] = 10 * Math.log10((vr * cr + vi * ci) / delivered);
}

const square = (re: number, im: number): number => re * re + im * im;
