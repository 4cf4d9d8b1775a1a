import type { Complexes } from '../line/index.js';
import { formatDecibels, formatFrequency } from '../quantity/index.js';
import type { ReadingVerdict } from './expectations.js';

/** One thing a sweep was held against. */
export interface SweepJudgement {
  what: string;
  verdict: ReadingVerdict;
  /** The figure, its limit, and what it means. */
  why: string;
}

/** Measured over predicted, within the bands of the service. */
export interface SweepFigures {
  frequencyHz: Float64Array;
  returnLossDb: Float64Array;
  predictedReturnLossDb: Float64Array;
  /** One way through the run, where it was measured. */
  lossDb?: Float64Array;
  predictedLossDb: Float64Array;
  bands: readonly { lowHz: number; highHz: number }[];
  /** Is the far end matched, so that return loss speaks of the run alone? */
  intoLoad: boolean;
}

/** A run may be this much worse than computed before a joint is looked at, dB. Common practice, no source. */
const RETURN_LOSS_MARGIN_DB = 6;
/** No series is asked for more than this, dB: cable itself scatters as much. Common practice, no source. */
const BEST_ASKED_DB = 26;
/** Less is no match at all, dB. Common practice, no source. */
const LEAST_ASKED_DB = 8;
/** Analyser, adapters and cable tolerance together: a tenth of the loss and 0.2 dB. Common practice, no source. */
const LOSS_MARGIN = { share: 0.1, db: 0.2 };

/**
 * Judges a sweep. A good return loss alone never passes: loss is what shows water and the wrong cable.
 *
 * @returns one judgement for return loss and one for loss; the sweep passes when all of them do
 */
export function judgeSweep(figures: SweepFigures): SweepJudgement[] {
  const inBand = indicesIn(figures);
  if (inBand.length === 0)
    return [
      {
        what: 'Bands',
        verdict: 'fail',
        why: 'The sweep does not reach into any band of the service: sweep over the bands in use.',
      },
    ];
  return [...(figures.intoLoad ? [judgeReturnLoss(figures, inBand)] : []), judgeLossOf(figures, inBand)];
}

function indicesIn({ frequencyHz, bands }: SweepFigures): number[] {
  const step = frequencyHz.length > 1 ? frequencyHz[1] - frequencyHz[0] : 0;
  return Array.from(frequencyHz, (_, k) => k).filter((k) =>
    // A band narrower than the points’ distance is caught by the point next to it.
    bands.some(({ lowHz, highHz }) => frequencyHz[k] >= lowHz - step && frequencyHz[k] <= highHz + step),
  );
}

/** Return loss asked for where so much is computed, dB: what its series, its joints and the frequency allow. */
export const returnLossLimitDb = (predictedDb: number): number =>
  Math.min(BEST_ASKED_DB, Math.max(LEAST_ASKED_DB, predictedDb - RETURN_LOSS_MARGIN_DB));

/** How far a loss may lie from the computed one, dB. */
export const lossMarginDb = (predictedDb: number): number => predictedDb * LOSS_MARGIN.share + LOSS_MARGIN.db;

function judgeReturnLoss(
  { frequencyHz, returnLossDb, predictedReturnLossDb }: SweepFigures,
  inBand: number[],
): SweepJudgement {
  const limitAt = (k: number): number => returnLossLimitDb(predictedReturnLossDb[k]);
  const worst = inBand.reduce((low, k) =>
    returnLossDb[k] - limitAt(k) < returnLossDb[low] - limitAt(low) ? k : low,
  );
  const limit = limitAt(worst);
  const read = returnLossDb[worst];
  const verdict = read >= limit ? 'pass' : read >= limit - 3 ? 'marginal' : 'fail';
  const meaning = {
    pass: 'As the joints of this run should be.',
    marginal: 'A little worse than computed: clean and tighten the joints, sweep again.',
    fail: 'Something reflects: the echo says where.',
  }[verdict];
  return {
    what: 'Return loss',
    verdict,
    why: `${formatDecibels(read)} at ${formatFrequency(frequencyHz[worst])}, ${formatDecibels(limit)} or more is asked for. ${meaning}`,
  };
}

function judgeLossOf(
  { frequencyHz, lossDb, predictedLossDb }: SweepFigures,
  inBand: number[],
): SweepJudgement {
  if (!lossDb)
    return {
      what: 'Loss',
      verdict: 'marginal',
      why: 'Not measured by this sweep. SWR alone never passes a cable: sweep through it, or with its far end open or shorted.',
    };
  const excess = (k: number): number => lossDb[k] - predictedLossDb[k];
  const worst = inBand.reduce((high, k) => (Math.abs(excess(k)) > Math.abs(excess(high)) ? k : high));
  const margin = lossMarginDb(predictedLossDb[worst]);
  const over = excess(worst);
  const verdict = Math.abs(over) <= margin ? 'pass' : over > 0 && over <= margin + 0.3 ? 'marginal' : 'fail';
  const meaning =
    verdict === 'pass'
      ? 'As the copper and the dielectric of this length should be.'
      : verdict === 'marginal'
        ? 'A little more than computed: look at the ends, sweep again.'
        : over > 0
          ? 'Too lossy: water, corroded braid, or not the cable it is called.'
          : 'Less than this cable can lose: check the set-up, the length or the type.';
  return {
    what: 'Loss',
    verdict,
    why: `${formatDecibels(lossDb[worst])} at ${formatFrequency(frequencyHz[worst])}, ${formatDecibels(predictedLossDb[worst])} computed. ${meaning}`,
  };
}

/**
 * One-way loss from a sweep with the far end open or shorted: half of what does not come back, smoothed over the ripple of the
 * near joints by a running mean.
 *
 * @param width points of the running mean
 */
export function lossFromReflection(returnLossDb: Float64Array, width: number): Float64Array {
  const half = Math.floor(width / 2);
  return returnLossDb.map((_, k) => {
    const some = returnLossDb.subarray(Math.max(0, k - half), k + half + 1);
    return some.reduce((sum, value) => sum + value, 0) / some.length / 2;
  });
}

/** How a run has changed since its first accepted proof. */
export interface Drift {
  /** Added loss at each shared frequency, dB. */
  frequencyHz: Float64Array;
  addedDb: Float64Array;
  /** Is it more at the top than at the bottom, as water’s is? */
  rises: boolean;
  verdict: ReadingVerdict;
  why: string;
}

const interpolated = (from: Float64Array, values: Float64Array, hz: number): number => {
  const next = from.findIndex((value) => value >= hz);
  if (next <= 0) return values[Math.max(0, next)];
  const share = (hz - from[next - 1]) / (from[next] - from[next - 1]);
  return values[next - 1] + share * (values[next] - values[next - 1]);
};

/**
 * Loss now less loss at birth, with a verdict: water's loss rises with frequency, a bad contact's hardly.
 *
 * @param rained did it rain before the later sweep?
 */
export function driftOf(
  birth: { frequencyHz: Float64Array; lossDb: Float64Array },
  now: { frequencyHz: Float64Array; lossDb: Float64Array },
  rained: boolean,
): Drift {
  const [low, high] = [birth.frequencyHz[0], birth.frequencyHz[birth.frequencyHz.length - 1]];
  const shared = now.frequencyHz.filter((hz) => hz >= low && hz <= high);
  const addedDb = shared.map(
    (hz) => interpolated(now.frequencyHz, now.lossDb, hz) - interpolated(birth.frequencyHz, birth.lossDb, hz),
  );
  const third = Math.max(1, Math.floor(addedDb.length / 3));
  const mean = (values: Float64Array): number =>
    values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);
  const [atLow, atHigh] = [mean(addedDb.subarray(0, third)), mean(addedDb.subarray(-third))];
  const most = Math.max(...addedDb, 0);
  const rises = atHigh > atLow + 0.1 && atHigh > 1.5 * Math.max(0.02, atLow);
  if (shared.length === 0)
    return {
      frequencyHz: shared,
      addedDb,
      rises: false,
      verdict: 'marginal',
      why: 'The two sweeps have no frequency in common.',
    };
  if (most < LOSS_MARGIN.db)
    return {
      frequencyHz: shared,
      addedDb,
      rises: false,
      verdict: 'pass',
      why: `At most ${formatDecibels(most)} more than when it was new: nothing has changed.`,
    };
  return {
    frequencyHz: shared,
    addedDb,
    rises,
    verdict: most > 3 * LOSS_MARGIN.db ? 'fail' : 'marginal',
    why: rises
      ? `${formatDecibels(atHigh)} more at the top and ${formatDecibels(atLow)} at the bottom: rising with frequency${rained ? ' and after rain' : ''}, as water in the cable does.`
      : `${formatDecibels(most)} more at all frequencies alike: a contact, not water.`,
  };
}

/** A phase differs by this much from day to day, degrees. Common practice, no source. */
const PHASE_MARGIN_DEG = 3;
/** Samples on both sides over which the ripple of near joints is averaged out. */
const PHASE_WINDOW = 10;

/** How the electrical length has changed at a frequency. */
export interface PhaseDrift {
  /** One way; longer is positive, degrees. */
  degrees: number;
  verdict: ReadingVerdict;
  why: string;
}

/**
 * Phase now against phase at birth, one way.
 *
 * @param twoWay are these reflections from an open or shorted end, which pass the run there and back?
 * @returns nothing where the two sweeps do not share the frequency
 */
export function phaseDriftOf(
  birth: { frequencyHz: Float64Array; s: Complexes },
  now: { frequencyHz: Float64Array; s: Complexes },
  atHz: number,
  twoWay: boolean,
): PhaseDrift | undefined {
  const middle = now.frequencyHz.findIndex((hz) => hz >= atHz);
  const first = birth.frequencyHz;
  if (middle < 0 || atHz < first[0] || atHz > first[first.length - 1]) return undefined;
  let [re, im] = [0, 0];
  const from = Math.max(0, middle - PHASE_WINDOW);
  const to = Math.min(now.frequencyHz.length, middle + PHASE_WINDOW + 1);
  for (let k = from; k < to; k++) {
    const hz = now.frequencyHz[k];
    if (hz < first[0] || hz > first[first.length - 1]) continue;
    const [br, bi] = [interpolated(first, birth.s.re, hz), interpolated(first, birth.s.im, hz)];
    re += now.s.re[k] * br + now.s.im[k] * bi;
    im += now.s.im[k] * br - now.s.re[k] * bi;
  }
  const turned = (Math.atan2(im, re) * 180) / Math.PI;
  const degrees = -turned / (twoWay ? 2 : 1);
  const size = Math.abs(degrees);
  const verdict = size <= PHASE_MARGIN_DEG ? 'pass' : size <= 3 * PHASE_MARGIN_DEG ? 'marginal' : 'fail';
  return {
    degrees,
    verdict,
    why:
      verdict === 'pass'
        ? `Its phase is within ${PHASE_MARGIN_DEG}° of when it was new.`
        : `${size.toFixed(1)}° ${degrees > 0 ? 'longer' : 'shorter'} than when it was new: another temperature, water (it slows the wave), or not the same run.`,
  };
}
