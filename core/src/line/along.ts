import type { Complex } from './response.js';
import { multiplyAbcd, writeAbcd, type Element, type LineElement } from './element.js';

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
  /** Peak voltage at the nearest standing-wave maximum, V: the envelope. */
  envelopeV: Float64Array;
}

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
  const reversed: Sample[] = [];
  const size = load.re ** 2 + load.im ** 2;
  let state: State = { vr: 1, vi: 0, ir: load.re / size, ii: -load.im / size };
  const end = placed.at(-1)?.toM ?? 0;
  reversed.push(sampleOf(state, end, referenceOhm));
  for (const { element, fromM, toM } of [...placed].reverse()) {
    if (element.kind === 'line' && toM > fromM) {
      const step = slice(element, 1 / samplesPerLine);
      for (let k = 1; k <= samplesPerLine; k++) {
        state = back(step, frequencyHz, state);
        reversed.push(sampleOf(state, toM - ((toM - fromM) * k) / samplesPerLine, element.z0Ohm));
      }
    } else {
      state = back(element, frequencyHz, state);
      reversed.push(sampleOf(state, fromM, element.kind === 'line' ? element.z0Ohm : referenceOhm));
    }
  }
  return scaled(reversed.reverse(), state, frequencyHz, forwardW, referenceOhm);
}

interface State {
  vr: number;
  vi: number;
  ir: number;
  ii: number;
}

interface Sample {
  distanceM: number;
  netW: number;
  peakV: number;
  envelopeV: number;
}

const slice = (line: LineElement, fraction: number): LineElement => ({
  ...line,
  lengthM: line.lengthM * fraction,
});

const matrix = new Float64Array(8);
const column = new Float64Array(8);

function back(element: Element, frequencyHz: number, { vr, vi, ir, ii }: State): State {
  writeAbcd(element, frequencyHz, matrix);
  column.set([vr, vi, 0, 0, ir, ii, 0, 0]);
  multiplyAbcd(matrix, column, column);
  return { vr: column[0], vi: column[1], ir: column[4], ii: column[5] };
}

/** rms phasors to powers and peak volts. */
function sampleOf({ vr, vi, ir, ii }: State, distanceM: number, z0: number): Sample {
  const plus = Math.hypot(vr + z0 * ir, vi + z0 * ii) / 2;
  const minus = Math.hypot(vr - z0 * ir, vi - z0 * ii) / 2;
  return {
    distanceM,
    netW: vr * ir + vi * ii,
    peakV: Math.SQRT2 * Math.hypot(vr, vi),
    envelopeV: Math.SQRT2 * (plus + minus),
  };
}

function scaled(samples: Sample[], source: State, frequencyHz: number, forwardW: number, z0: number): Along {
  const forward = ((source.vr + z0 * source.ir) ** 2 + (source.vi + z0 * source.ii) ** 2) / (4 * z0);
  const power = forwardW / forward;
  const volts = Math.sqrt(power);
  return {
    frequencyHz,
    distanceM: Float64Array.from(samples, (s) => s.distanceM),
    netW: Float64Array.from(samples, (s) => s.netW * power),
    peakV: Float64Array.from(samples, (s) => s.peakV * volts),
    envelopeV: Float64Array.from(samples, (s) => s.envelopeV * volts),
  };
}
