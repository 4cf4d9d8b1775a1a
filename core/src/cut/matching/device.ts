import type { Cable } from '../../catalog/index.js';
import {
  loadImpedance,
  reflectionOf,
  sweep,
  swrFromReflection,
  type Complex,
  type Complexes,
  type Element,
  type Load,
} from '../../line/index.js';

/** A piece of cable which a matching device is made of. */
export interface MatchPiece {
  /** `quarter-wave section`, `shorted stub`. */
  name: string;
  cable: Cable;
  /** Electrical length, degrees at the device’s frequency. */
  degrees: number;
  /** Physical length between the reference planes, m. */
  lengthM: number;
  /** How its far end is left; it lies in the line when nothing is said. */
  far?: 'open' | 'shorted';
}

/** A device made of cable, seen from the radio: what a wave passes before the load. */
export interface MatchDevice {
  name: string;
  frequencyHz: number;
  pieces: MatchPiece[];
  elements: Element[];
  /** What the device makes of a load by another way than a chain: a balun’s two paths. */
  closes?: (load: Complexes, frequencyHz: Float64Array) => Complexes;
}

/** How well a device works in its place. */
export interface Simulated {
  frequencyHz: Float64Array;
  /** SWR at the place, with the device and without it. */
  swrWith: Float64Array;
  swrWithout: Float64Array;
  /** Loss from the place into the load, dB, with the device and without. */
  lossWithDb: Float64Array;
  lossWithoutDb: Float64Array;
  /** Band around the device’s frequency in which the SWR stays below the limit, Hz; nothing when it never is. */
  band: { lowHz: number; highHz: number } | undefined;
}

/**
 * Puts a device between a run and its load and looks into it from the place where it begins.
 *
 * @param before what lies between the radio and the device, radio first; empty to look from the device itself
 * @param referenceOhm impedance of the run
 * @param limit SWR which bounds the band
 */
export function simulate(
  device: MatchDevice,
  before: readonly Element[],
  load: Load,
  frequencyHz: Float64Array,
  referenceOhm: number,
  limit: number,
): Simulated {
  const bare = loadImpedance(load, frequencyHz);
  const closed = device.closes ? device.closes(bare, frequencyHz) : bare;
  const look = (
    elements: readonly Element[],
    ohm: Complexes,
  ): { swr: Float64Array; lossDb: Float64Array } => {
    if (elements.length === 0)
      return { swr: swrOf(ohm, referenceOhm), lossDb: mismatchDb(ohm, referenceOhm) };
    const { reflection, transmissionDb } = sweep(elements, ohm, frequencyHz, referenceOhm);
    return { swr: reflection.map(swrFromReflection), lossDb: transmissionDb.map((db) => -db) };
  };
  const [made, plain] = [look([...before, ...device.elements], closed), look(before, bare)];
  const own = look(device.elements, closed);
  return {
    frequencyHz,
    swrWith: made.swr,
    swrWithout: plain.swr,
    lossWithDb: made.lossDb,
    lossWithoutDb: plain.lossDb,
    band: bandBelow(own.swr, frequencyHz, device.frequencyHz, limit),
  };
}

function swrOf(ohm: Complexes, referenceOhm: number): Float64Array {
  const { re, im } = reflectionOf(ohm, referenceOhm);
  return re.map((one, k) => swrFromReflection(Math.hypot(one, im[k])));
}

function mismatchDb(ohm: Complexes, referenceOhm: number): Float64Array {
  const { re, im } = reflectionOf(ohm, referenceOhm);
  return re.map((one, k) => -10 * Math.log10(1 - one * one - im[k] * im[k]));
}

/** A load this well matched wants no section before it. Common practice, no source. */
const WELL_MATCHED_SWR = 1.2;

/** Is there anything for a matching section to do? Not where the load is matched, nor where the section makes it no better. */
export const isWorthMatching = (swrWithout: number, swrWith: number): boolean =>
  swrWithout > WELL_MATCHED_SWR && swrWith < 0.97 * swrWithout;

/** The stretch around a frequency in which values stay below a limit; its edges between samples are taken as straight. */
export function bandBelow(
  values: Float64Array,
  frequencyHz: Float64Array,
  atHz: number,
  limit: number,
): { lowHz: number; highHz: number } | undefined {
  let at = 0;
  for (let k = 1; k < values.length; k++)
    if (Math.abs(frequencyHz[k] - atHz) < Math.abs(frequencyHz[at] - atHz)) at = k;
  if (!(values[at] <= limit)) return undefined;
  const edge = (step: 1 | -1): number => {
    let k = at;
    while (k + step >= 0 && k + step < values.length && values[k + step] <= limit) k += step;
    const next = k + step;
    if (next < 0 || next >= values.length || !Number.isFinite(values[next])) return frequencyHz[k];
    const share = (limit - values[k]) / (values[next] - values[k]);
    return frequencyHz[k] + share * (frequencyHz[next] - frequencyHz[k]);
  };
  return { lowHz: edge(-1), highHz: edge(1) };
}

/** Reflection of one impedance, magnitude and angle (rad). */
export function polarReflection({ re, im }: Complex, ohm: number): [size: number, angle: number] {
  const gamma = reflectionOf({ re: Float64Array.of(re), im: Float64Array.of(im) }, ohm);
  return [Math.hypot(gamma.re[0], gamma.im[0]), Math.atan2(gamma.im[0], gamma.re[0])];
}
