import type { Complexes } from '../line/index.js';

export const portPairs = ['s11', 's21', 's12', 's22'] as const;
export type PortPair = (typeof portPairs)[number];

/** A sweep, measured or simulated: scattering parameters against a real reference impedance, frequencies rising, Hz. */
export interface Trace {
  ports: 1 | 2;
  referenceOhm: number;
  frequencyHz: Float64Array;
  /** Of a one-port only `s11`; of a two-port all four. */
  s: { s11: Complexes } & Partial<Record<PortPair, Complexes>>;
  /** Noise data which came with a two-port, kept as they stood: Hz, dB, size, degrees, noise resistance over the reference. */
  noise?: readonly (readonly number[])[];
}

export const emptySeries = (count: number): Complexes => ({
  re: new Float64Array(count),
  im: new Float64Array(count),
});

/** Magnitude of each sample. */
export const magnitudes = ({ re, im }: Complexes): Float64Array =>
  re.map((value, k) => Math.hypot(value, im[k]));

/** Every n-th point, so that at most `most` are left; first and last stay. */
export function thinned(trace: Trace, most: number): Trace {
  const count = trace.frequencyHz.length;
  if (count <= most) return trace;
  const at = Array.from({ length: most }, (_, k) => Math.round((k * (count - 1)) / (most - 1)));
  const pick = (values: Float64Array): Float64Array => Float64Array.from(at, (k) => values[k]);
  const series = Object.entries(trace.s).map(([pair, { re, im }]) => [pair, { re: pick(re), im: pick(im) }]);
  return {
    ...trace,
    frequencyHz: pick(trace.frequencyHz),
    s: Object.fromEntries(series) as Trace['s'],
  };
}
