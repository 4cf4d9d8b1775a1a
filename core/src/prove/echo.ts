import FFT from 'fft.js';
import { SPEED_OF_LIGHT, type Complexes } from '../line/index.js';
import { fail, ok, type Result } from '../quantity/index.js';

/** What comes back from each place of a line. */
export interface Echo {
  /** One-way delay from the analyser, s; evenly spaced from 0. */
  delayS: Float64Array;
  /** Size of the echo, 1 where everything comes back. */
  magnitude: Float64Array;
  /** Two echoes nearer to each other than this are one, s one way: 1/(2B), widened by the window. */
  resolutionS: number;
  /** Beyond it the line folds back over its beginning, s one way: 1/(2 Δf). */
  rangeS: number;
  window: string;
}

/** Shape of the Kaiser window: its highest sidelobe is 44 dB down, its peak 1.96 bins wide at half its height (computed; Harris, Proc. IEEE 66, 1978, has 46 dB and 1.99 for the next narrower). */
const KAISER_BETA = 6;
const WIDENED = 1.96;
/** Points of the transform for each point of the sweep: peaks are read between the samples. */
const PADDING = 4;
const LEAST_POINTS = 16;

/** Modified Bessel function of the first kind, order zero; power series (Abramowitz and Stegun 9.6.12). */
function besselI0(x: number): number {
  let sum = 1;
  let term = 1;
  for (let k = 1; term > 1e-16 * sum; k++) {
    term *= (x / (2 * k)) ** 2;
    sum += term;
  }
  return sum;
}

/** Kaiser window of `count` points, highest in the middle. */
export function kaiser(count: number, beta = KAISER_BETA): Float64Array {
  const whole = besselI0(beta);
  return Float64Array.from({ length: count }, (_, k) => {
    const x = count === 1 ? 0 : (2 * k) / (count - 1) - 1;
    return besselI0(beta * Math.sqrt(Math.max(0, 1 - x * x))) / whole;
  });
}

/**
 * Reflection over frequency to echo over delay: inverse FFT under a Kaiser window.
 *
 * @param frequencyHz evenly spaced; other spacings are refused, since delays would be wrong
 * Source: time-domain reflectometry by inverse Fourier transform; resolution about 1/(2B), range 1/(2Δf), one way.
 */
export function echoOf(reflection: Complexes, frequencyHz: Float64Array): Result<Echo> {
  const count = frequencyHz.length;
  if (count < LEAST_POINTS)
    return fail(
      'echo.too-few',
      `An echo needs ${LEAST_POINTS} points or more; there are ${count}.`,
      'the sweep',
      'Sweep with more points.',
    );
  const span = frequencyHz[count - 1] - frequencyHz[0];
  const step = span / (count - 1);
  for (let k = 0; k < count; k++)
    if (Math.abs(frequencyHz[k] - frequencyHz[0] - k * step) > 0.02 * step)
      return fail(
        'echo.uneven',
        `The frequencies are not evenly spaced at point ${k + 1}.`,
        `point ${k + 1}`,
        'Sweep linearly, not by decades.',
      );
  const window = kaiser(count);
  const weight = window.reduce((sum, value) => sum + value, 0);
  const size = 2 ** Math.ceil(Math.log2(count * PADDING));
  const fft = new FFT(size);
  const input = fft.createComplexArray().fill(0);
  for (let k = 0; k < count; k++) {
    input[2 * k] = reflection.re[k] * window[k];
    input[2 * k + 1] = reflection.im[k] * window[k];
  }
  const output = fft.createComplexArray();
  fft.inverseTransform(output, input);
  const magnitude = Float64Array.from(
    { length: size },
    (_, k) => (Math.hypot(output[2 * k], output[2 * k + 1]) * size) / weight,
  );
  return ok({
    delayS: Float64Array.from({ length: size }, (_, k) => k / (size * step) / 2),
    magnitude,
    resolutionS: WIDENED / (2 * span),
    rangeS: 1 / (2 * step),
    window: `Kaiser, β ${KAISER_BETA}`,
  });
}

/** A place on the ruler by its one-way delay, and what the wave loses on the way there. */
export interface DelayRuler {
  delayS: readonly number[];
  distanceM: readonly number[];
  /** Matched loss from the radio, one way, dB, at the middle of the sweep. */
  lossDb: readonly number[];
}

/** A stretch of the run as a wave sees it. */
export interface DelayStretch {
  fromM: number;
  toM: number;
  delayS: number;
  lossDb: number;
}

/** Stretches laid end to end. */
export function delayRuler(stretches: readonly DelayStretch[]): DelayRuler {
  const ruler = { delayS: [0], distanceM: [stretches.at(0)?.fromM ?? 0], lossDb: [0] };
  for (const { toM, delayS, lossDb } of stretches) {
    ruler.delayS.push(ruler.delayS[ruler.delayS.length - 1] + delayS);
    ruler.distanceM.push(toM);
    ruler.lossDb.push(ruler.lossDb[ruler.lossDb.length - 1] + lossDb);
  }
  return ruler;
}

/** Value of `to` where `from` has `at`, linear between the marks; beyond the last mark the last cable's slope goes on. */
function between(from: readonly number[], to: readonly number[], at: number): number {
  const next = from.findIndex((value) => value > at);
  const beyond = next < 0;
  const k = beyond ? lastSlope(from, to) : Math.max(1, next);
  let before = k - 1;
  // A connector has a delay but no length of the ruler; two marks at one delay cannot be told apart.
  while (before > 0 && from[before] === from[k]) before--;
  const slope = from[k] === from[before] ? 0 : (to[k] - to[before]) / (from[k] - from[before]);
  if (beyond) return to[to.length - 1] + slope * (at - from[from.length - 1]);
  return to[before] + slope * (at - from[before]);
}

/** The last mark at which both go on: the connector behind it has no length. */
function lastSlope(from: readonly number[], to: readonly number[]): number {
  for (let k = from.length - 1; k > 0; k--) if (from[k] !== from[k - 1] && to[k] !== to[k - 1]) return k;
  return from.length - 1;
}

/** Distance on the ruler of a one-way delay, m. */
export const distanceAt = ({ delayS, distanceM }: DelayRuler, seconds: number): number =>
  between(delayS, distanceM, seconds);

/** One-way loss up to a delay, dB. */
export const lossAt = ({ delayS, lossDb }: DelayRuler, seconds: number): number =>
  Math.max(0, between(delayS, lossDb, seconds));

/** One-way delay of a place, s. */
export const delayAt = ({ delayS, distanceM }: DelayRuler, metres: number): number =>
  between(distanceM, delayS, metres);

/** A place from which something comes back. */
export interface EchoPeak {
  delayS: number;
  distanceM: number;
  /** Size at the place itself: as read, with the loss there and back given back. */
  returnLossDb: number;
}

/** Loss beyond which an echo is not corrected any further, dB there and back: noise would be blown up to a fault. */
export const MAX_CORRECTION_DB = 40;

/** The echo at its place, corrected for the loss on the way; both arrays have one entry per delay within the range asked for. */
export function onRuler(
  { delayS, magnitude }: Echo,
  ruler: DelayRuler,
  toM: number,
): { distanceM: Float64Array; magnitude: Float64Array } {
  const last = delayS.findIndex((seconds) => distanceAt(ruler, seconds) > toM);
  const count = last < 0 ? delayS.length : last;
  const corrected = (k: number): number =>
    magnitude[k] * 10 ** (Math.min(MAX_CORRECTION_DB, 2 * lossAt(ruler, delayS[k])) / 20);
  return {
    distanceM: Float64Array.from({ length: count }, (_, k) => distanceAt(ruler, delayS[k])),
    magnitude: Float64Array.from({ length: count }, (_, k) => corrected(k)),
  };
}

/** How much more than computed must come back before a place is worth a look, dB. Common practice, no source. */
const UNEXPECTED_DB = 3;

/** Does more come back from this place than was computed for it? */
export function isUnexpected(peak: EchoPeak, predicted: Echo, ruler: DelayRuler): boolean {
  const step = predicted.delayS[1] - predicted.delayS[0];
  const middle = Math.round(peak.delayS / step);
  const reach = Math.max(1, Math.round(predicted.resolutionS / step / 2));
  const near = predicted.magnitude.subarray(Math.max(0, middle - reach), middle + reach + 1);
  const size = Math.max(...near) * 10 ** (Math.min(MAX_CORRECTION_DB, 2 * lossAt(ruler, peak.delayS)) / 20);
  return peak.returnLossDb < -20 * Math.log10(size) - UNEXPECTED_DB;
}

/**
 * Places from which more comes back than `leastDb`, the largest first.
 *
 * @param leastDb return loss below which a peak counts, dB: 40 finds anything above −40 dB
 */
export function echoPeaks(echo: Echo, ruler: DelayRuler, leastDb: number): EchoPeak[] {
  const { delayS, magnitude } = echo;
  const peaks: EchoPeak[] = [];
  const step = delayS[1] - delayS[0];
  const reach = Math.max(1, Math.round(echo.resolutionS / step / 2));
  for (let k = 0; k < Math.floor(delayS.length / 2); k++) {
    const from = Math.max(0, k - reach);
    if (magnitude.subarray(from, k + reach + 1).some((other) => other > magnitude[k])) continue;
    const seconds = delayS[k] + step * vertex(magnitude, k);
    const size = magnitude[k] * 10 ** (Math.min(MAX_CORRECTION_DB, 2 * lossAt(ruler, seconds)) / 20);
    const returnLossDb = -20 * Math.log10(size);
    if (returnLossDb < leastDb)
      peaks.push({ delayS: seconds, distanceM: distanceAt(ruler, seconds), returnLossDb });
  }
  return peaks.sort((x, y) => x.returnLossDb - y.returnLossDb);
}

/** Where between its neighbours a peak stands: the vertex of a parabola through three samples, −0.5 to 0.5. */
export function vertex(values: Float64Array, k: number): number {
  if (k === 0 || k === values.length - 1) return 0;
  const [left, middle, right] = [values[k - 1], values[k], values[k + 1]];
  const bend = left - 2 * middle + right;
  return bend === 0 ? 0 : (left - right) / (2 * bend);
}

/** Distance in one kind of cable, m one way: VF·c·t. */
export const metresOf = (seconds: number, velocityFactor: number): number =>
  velocityFactor * SPEED_OF_LIGHT * seconds;

/**
 * One joint seen alone: what comes back between two delays, as reflection over frequency.
 *
 * The sweep goes to delay under its window, all else is cut away with soft edges, and the window is taken out again; the edges of the
 * band, where the window has taken almost everything, are left out.
 */
export function gated(
  reflection: Complexes,
  frequencyHz: Float64Array,
  gate: { fromS: number; toS: number },
): { frequencyHz: Float64Array; reflection: Complexes } {
  const count = frequencyHz.length;
  const step = (frequencyHz[count - 1] - frequencyHz[0]) / (count - 1);
  const window = kaiser(count);
  const size = 2 ** Math.ceil(Math.log2(count * PADDING));
  const fft = new FFT(size);
  const data = fft.createComplexArray().fill(0);
  for (let k = 0; k < count; k++) {
    data[2 * k] = reflection.re[k] * window[k];
    data[2 * k + 1] = reflection.im[k] * window[k];
  }
  const time = fft.createComplexArray();
  fft.inverseTransform(time, data);
  const soft = Math.max(gate.toS - gate.fromS, 1e-12) * 0.2;
  for (let k = 0; k < size; k++) {
    const twoWay = (k < size / 2 ? k : k - size) / (size * step);
    const pass = edge(twoWay / 2, gate.fromS, gate.toS, soft);
    time[2 * k] *= pass;
    time[2 * k + 1] *= pass;
  }
  const back = fft.createComplexArray();
  fft.transform(back, time);
  const kept = Array.from({ length: count }, (_, k) => k).filter((k) => window[k] > 0.2);
  return {
    frequencyHz: Float64Array.from(kept, (k) => frequencyHz[k]),
    reflection: {
      re: Float64Array.from(kept, (k) => back[2 * k] / window[k]),
      im: Float64Array.from(kept, (k) => back[2 * k + 1] / window[k]),
    },
  };
}

/** 1 within the gate, falling as a raised cosine over `soft` on both sides. */
function edge(at: number, from: number, to: number, soft: number): number {
  const outside = Math.max(from - at, at - to, 0);
  return outside >= soft ? 0 : (1 + Math.cos((Math.PI * outside) / soft)) / 2;
}
