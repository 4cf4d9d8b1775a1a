import { matchedLossDb } from '../line/index.js';
import type { Cable } from '../catalog/index.js';

/** Loss read at one frequency by the power at both ends, dB, and how sure that is. */
export interface LossRead {
  frequencyHz: number;
  lossDb: number;
  sigmaDb: number;
}

/** A reading beside what was computed for it, dB. */
export interface ExcessRead extends LossRead {
  computedDb: number;
  excessDb: number;
}

/** Of what kind the excess loss is: each as the share that explains it, and the deviation which remains. */
export interface ExcessKind {
  kind: 'copper' | 'wet dielectric' | 'fixed joint';
  /** Excess at the higher frequency if it were of this kind, dB. */
  excessDb: number;
  /** How far the two readings deviate from it, in standard deviations. */
  deviation: number;
}

/** Where excess loss comes from. */
export interface PowerDetective {
  /** The lower frequency first. */
  readings: [ExcessRead, ExcessRead];
  /** None too much, frequencies too alike, explained by the kinds below, or by none of them alone. */
  verdict: 'no excess' | 'too near' | 'explained' | 'unexplained';
  /** The kinds which explain both readings, the best first. */
  kinds: ExcessKind[];
}

/** Frequencies nearer than this ratio cannot tell the kinds apart. Common practice, no source. */
const LEAST_RATIO = 2;
/** So many standard deviations are beyond what the meters may err. */
const BEYOND_METERS = 2;

/** How each kind grows from a frequency to one `ratio` times as high. */
const growth: Record<ExcessKind['kind'], (ratio: number) => number> = {
  copper: Math.sqrt,
  'wet dielectric': (ratio) => ratio,
  'fixed joint': () => 1,
};

/**
 * Two readings at two frequencies split excess loss by how it grows: copper with √f, a wet dielectric with f, a fixed joint not at all.
 *
 * @param lengthM length of the cable, m
 */
export function powerDetective(
  cable: Cable,
  lengthM: number,
  given: readonly [LossRead, LossRead],
): PowerDetective {
  const [low, high] = given
    .toSorted((x, y) => x.frequencyHz - y.frequencyHz)
    .map((one): ExcessRead => {
      const computedDb = matchedLossDb(cable, one.frequencyHz, lengthM);
      return { ...one, computedDb, excessDb: one.lossDb - computedDb };
    });
  const readings: PowerDetective['readings'] = [low, high];
  const ratio = high.frequencyHz / low.frequencyHz;
  if (readings.every(({ excessDb, sigmaDb }) => excessDb < BEYOND_METERS * sigmaDb))
    return { readings, verdict: 'no excess', kinds: [] };
  if (ratio < LEAST_RATIO) return { readings, verdict: 'too near', kinds: [] };
  const kinds = (Object.keys(growth) as ExcessKind['kind'][])
    .map((kind) => fitted(kind, growth[kind](ratio), readings))
    .filter(({ deviation }) => deviation <= BEYOND_METERS)
    .sort((a, b) => a.deviation - b.deviation);
  return { readings, verdict: kinds.length > 0 ? 'explained' : 'unexplained', kinds };
}

/** Least squares of one unknown, the excess at the low frequency, weighed by both errors. */
function fitted(
  kind: ExcessKind['kind'],
  grows: number,
  [low, high]: PowerDetective['readings'],
): ExcessKind {
  const [wl, wh] = [1 / low.sigmaDb ** 2, 1 / high.sigmaDb ** 2];
  const x = (wl * low.excessDb + wh * grows * high.excessDb) / (wl + wh * grows * grows);
  const deviation = Math.hypot((low.excessDb - x) / low.sigmaDb, (high.excessDb - grows * x) / high.sigmaDb);
  return { kind, excessDb: grows * x, deviation };
}
