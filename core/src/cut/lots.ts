import { SPEED_OF_LIGHT } from '../line/index.js';

/** A length and its measured one-way delay, of a piece of a lot. */
export interface LotReading {
  /** Which piece it is of, for people. */
  piece: string;
  lengthM: number;
  /** Of the cable alone, the connector's own taken off, s. */
  delayS: number;
}

/** Velocity factor which one reading alone would have. */
export const lotVelocity = ({ lengthM, delayS }: LotReading): number => lengthM / (delayS * SPEED_OF_LIGHT);

/** What a lot has taught: its velocity factor with its spread, and what was left out. */
export interface LearnedLot {
  velocityFactor: number;
  /** Standard deviation of the lot's own velocity factor. */
  sigma: number;
  /** Spread from piece to piece, standard deviation; 0 with one piece. */
  spread: number;
  used: LotReading[];
  outliers: LotReading[];
}

/** Standard deviation of one reading: tape and analyser together, m. Common practice, no source. */
const LENGTH_SIGMA_M = 0.0006;
/** Robust residuals beyond this are outliers (Iglewicz and Hoaglin, How to detect and handle outliers, 1993). */
const OUTLIER_SCORE = 3.5;

/**
 * Velocity factor of a lot from its readings: weighted least squares through the origin, the data sheet's own as a prior;
 * readings whose modified z-score is above 3.5 are flagged and left out.
 *
 * @param sheet velocity factor of the data sheet with its standard deviation
 */
export function learnLot(
  readings: readonly LotReading[],
  sheet: { velocityFactor: number; sigma: number },
): LearnedLot {
  const factors = readings.map(lotVelocity);
  const middle = median(factors);
  const spreadOfMiddle = median(factors.map((one) => Math.abs(one - middle)));
  // With two readings nothing says which of them is wrong.
  const isOutlier = (factor: number): boolean =>
    readings.length >= 4 &&
    (0.6745 * Math.abs(factor - middle)) / Math.max(spreadOfMiddle, middle * 1e-4) > OUTLIER_SCORE;
  const used = readings.filter((_, k) => !isOutlier(factors[k]));
  const outliers = readings.filter((_, k) => isOutlier(factors[k]));
  const sheetSlowness = 1 / sheet.velocityFactor;
  const priorWeight = 1 / (sheetSlowness * (sheet.sigma / sheet.velocityFactor)) ** 2;
  let weight = priorWeight;
  let sum = priorWeight * sheetSlowness;
  for (const { lengthM, delayS } of used) {
    const slowness = (delayS * SPEED_OF_LIGHT) / lengthM;
    const w = 1 / (slowness * (LENGTH_SIGMA_M / lengthM)) ** 2;
    weight += w;
    sum += w * slowness;
  }
  const slowness = sum / weight;
  const velocityFactor = 1 / slowness;
  const deviations = used.map((one) => lotVelocity(one) - velocityFactor);
  const spread =
    used.length > 1
      ? Math.sqrt(deviations.reduce((total, one) => total + one * one, 0) / (used.length - 1))
      : 0;
  return {
    velocityFactor,
    sigma: Math.hypot(Math.sqrt(1 / weight) / slowness ** 2, spread),
    spread,
    used,
    outliers,
  };
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((x, y) => x - y);
  const half = Math.floor(sorted.length / 2);
  if (sorted.length === 0) return 0;
  return sorted.length % 2 === 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
}
