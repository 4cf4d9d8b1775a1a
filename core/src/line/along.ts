import type { Complex } from './response.js';
import { writeAbcd, type Element, type LineElement } from './element.js';

/** An element with its place on the ruler (m from the radio). Connectors and contacts have no length there. */
export interface PlacedElement {
  element: Element;
  fromM: number;
  toM: number;
}

/** What stands along the ruler at one frequency, sample by sample from the radio. */
export interface Along {
  frequencyHz: number;
  distanceM: Float64Array;
  /** Net power flowing towards the antenna, W. */
  netW: Float64Array;
  /** Peak voltage at the place itself, V. */
  peakV: Float64Array;
  /** Peak current at the place itself, A. */
  peakA: Float64Array;
  /** Largest and least peak current of the standing wave about the place, A: it ripples between them every half wave. */
  highA: Float64Array;
  lowA: Float64Array;
  /** Peak voltage at the nearest standing-wave maximum, V: the envelope. */
  envelopeV: Float64Array;
}

/** Rigid pieces shorter than this need few samples, m. */
const SHORT_M = 0.15;
const SHORT_SAMPLES = 4;

/**
 * Voltage and power along the run, from the chain matrices, load backwards.
 *
 * @param placed elements source first, with their places
 * @param load load impedance, ohm
 * @param forwardW *forward* power of the transmitter (its rating into a matched load), W
 * @param samplesPerLine samples within each element which has length on the ruler
 */
export function along(
  placed: readonly PlacedElement[],
  load: Complex,
  frequencyHz: number,
  forwardW: number,
  samplesPerLine = 40,
  referenceOhm = 50,
): Along {
  const samplesOf = ({ element, fromM, toM }: PlacedElement): number =>
    element.kind !== 'line' || toM <= fromM ? 1 : toM - fromM < SHORT_M ? SHORT_SAMPLES : samplesPerLine;
  const count = placed.reduce((sum, one) => sum + samplesOf(one), 1);
  const out: Along = {
    frequencyHz,
    distanceM: new Float64Array(count),
    netW: new Float64Array(count),
    peakV: new Float64Array(count),
    peakA: new Float64Array(count),
    highA: new Float64Array(count),
    lowA: new Float64Array(count),
    envelopeV: new Float64Array(count),
  };
  // State: V.re, V.im, I.re, I.im with 1 V across the load; samples are written from the load backwards.
  const size = load.re ** 2 + load.im ** 2;
  const state = new Float64Array([1, 0, load.re / size, -load.im / size]);
  let at = count - 1;
  out.distanceM[at] = placed.at(-1)?.toM ?? 0;
  write(out, at, state, referenceOhm, referenceOhm);
  for (let j = placed.length - 1; j >= 0; j--) {
    const { element, fromM, toM } = placed[j];
    const steps = samplesOf(placed[j]);
    writeAbcd(
      element.kind === 'line' && steps > 1 ? slice(element, 1 / steps) : element,
      frequencyHz,
      matrix,
    );
    const z0 = element.kind === 'line' ? element.z0Ohm : referenceOhm;
    // A connector is too short for a standing wave of its own.
    const waveOhm = toM > fromM ? z0 : referenceOhm;
    for (let k = 1; k <= steps; k++) {
      back(state);
      out.distanceM[--at] = toM - ((toM - fromM) * k) / steps;
      write(out, at, state, z0, waveOhm);
    }
  }
  scale(out, state, forwardW, referenceOhm);
  return out;
}

/** The first sample which is not before a place; their number when all are. Distances ascend. */
export function firstFrom({ distanceM }: Pick<Along, 'distanceM'>, placeM: number): number {
  let [low, high] = [0, distanceM.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (distanceM[middle] < placeM) low = middle + 1;
    else high = middle;
  }
  return low;
}

const slice = (line: LineElement, fraction: number): LineElement => ({
  ...line,
  lengthM: line.lengthM * fraction,
});

const matrix = new Float64Array(8);

/** The state on the source side of the element whose matrix is written: V = A·V + B·I, I = C·V + D·I. */
function back(state: Float64Array): void {
  const [m, vr, vi, ir, ii] = [matrix, state[0], state[1], state[2], state[3]];
  state[0] = m[0] * vr - m[1] * vi + m[2] * ir - m[3] * ii;
  state[1] = m[0] * vi + m[1] * vr + m[2] * ii + m[3] * ir;
  state[2] = m[4] * vr - m[5] * vi + m[6] * ir - m[7] * ii;
  state[3] = m[4] * vi + m[5] * vr + m[6] * ii + m[7] * ir;
}

const modulus = (re: number, im: number): number => Math.sqrt(re * re + im * im);

/** rms phasors to powers and peak volts; `waveOhm` is what the standing wave stands in. */
function write(out: Along, at: number, state: Float64Array, z0: number, waveOhm: number): void {
  const [vr, vi, ir, ii] = [state[0], state[1], state[2], state[3]];
  out.netW[at] = vr * ir + vi * ii;
  out.peakV[at] = Math.SQRT2 * modulus(vr, vi);
  out.peakA[at] = Math.SQRT2 * modulus(ir, ii);
  // Twice the waves there and back, as volts.
  let there = modulus(vr + z0 * ir, vi + z0 * ii);
  let comingBack = modulus(vr - z0 * ir, vi - z0 * ii);
  out.envelopeV[at] = (there + comingBack) * Math.SQRT1_2;
  if (waveOhm !== z0) {
    there = modulus(vr + waveOhm * ir, vi + waveOhm * ii);
    comingBack = modulus(vr - waveOhm * ir, vi - waveOhm * ii);
  }
  out.highA[at] = ((there + comingBack) * Math.SQRT1_2) / waveOhm;
  out.lowA[at] = (Math.abs(there - comingBack) * Math.SQRT1_2) / waveOhm;
}

/** From 1 V across the load to the transmitter’s forward power. */
function scale(out: Along, [vr, vi, ir, ii]: Float64Array, forwardW: number, z0: number): void {
  const forward = ((vr + z0 * ir) ** 2 + (vi + z0 * ii) ** 2) / (4 * z0);
  const power = forwardW / forward;
  const volts = Math.sqrt(power);
  for (let k = 0; k < out.netW.length; k++) {
    out.netW[k] *= power;
    out.peakV[k] *= volts;
    out.peakA[k] *= volts;
    out.highA[k] *= volts;
    out.lowA[k] *= volts;
    out.envelopeV[k] *= volts;
  }
}
