import { SPEED_OF_LIGHT } from '../line/index.js';

/** How the far end is left while a piece is measured. */
export type FarEnd = 'open' | 'shorted';

/** A resonance read at one end of a piece, the other connector not yet on. */
export interface TrimReading {
  /** Cable between its two cut ends at that moment, by tape, m. */
  lengthM: number;
  /** Frequency at which the reactance crosses zero near zero ohm, Hz. */
  frequencyHz: number;
  far: FarEnd;
  /** Which of these resonances: 1 the lowest. */
  order: number;
}

/** What a piece is trimmed to. */
export interface TrimGoal {
  /** Where its phase matters, Hz. */
  frequencyHz: number;
  /** Electrical length of the finished piece, degrees at that frequency. */
  degrees: number;
  /** What is still to come on the far end when the last cut is made: its connector and the way to its plane, s. */
  toComeS: number;
  /** What is on the near end already: its connector, s. */
  nearS: number;
  /** Velocity factor of the lot and its standard deviation. */
  velocityFactor: number;
  velocitySigma: number;
  /** Good enough, degrees at the frequency. */
  toleranceDeg: number;
}

/** Standard deviations of a careful hand and a bench analyser. Common practice, no source. */
export const READING_SIGMA = 1e-4;
export const CUT_SIGMA_M = 0.0004;
/** Connectors of one kind differ by a few millimetres of their own line, s. Common practice, no source. */
const OFFSET_SIGMA_S = 10e-12;
/** A cable cannot be cut longer: this many standard deviations are always left. */
const KEPT_SIGMAS = 4.5;
/** Of a first reading only this share is cut. Handbook rule. */
const FIRST_SHARE = 0.8;
/** A lot differs from what is known of it by no more than this many standard deviations, but by so much share at least: beyond it a reading is doubted. */
const DOUBT_SIGMAS = 4.5;
const LEAST_DOUBT = 0.04;
/** Two readings which agree so well are no slip. Common practice, no source. */
const AGREEING = 0.005;
/** Coaxial cables are no slower and no faster than this. */
const SLOWEST = 0.5;

/** What is left between a piece and its goal, each ± one standard deviation. */
export interface Residual {
  /** Longer than wanted is positive. */
  metres: number;
  metresSigma: number;
  degrees: number;
  /** How far the resonance lies below its goal, Hz. */
  hz: number;
}

export type TrimAdvice =
  /** Nothing is read yet: how long to cut first, m. */
  | { kind: 'first'; lengthM: number; longM: number }
  | { kind: 'cut'; cutM: number; lengthM: number; residual: Residual; first: boolean; trimToHz: number }
  | { kind: 'done'; residual: Residual }
  | { kind: 'too short'; residual: Residual }
  /** The reading cannot be of this piece: which resonance it would be. */
  | { kind: 'doubt'; why: string; order: number | undefined };

/** One-way delay of a piece from one of its resonances: odd quarter waves with the far end open, half waves with it shorted. */
export const delayOfResonance = ({ frequencyHz, far, order }: Omit<TrimReading, 'lengthM'>): number =>
  (far === 'open' ? 2 * order - 1 : 2 * order) / (4 * frequencyHz);

/** The resonance which a delay has. */
export const resonanceOfDelay = (delayS: number, far: FarEnd, order: number): number =>
  (far === 'open' ? 2 * order - 1 : 2 * order) / (4 * delayS);

/** Delay the piece must have, measured with one connector on, s. */
export const wantedS = ({ frequencyHz, degrees, toComeS }: TrimGoal): number =>
  degrees / 360 / frequencyHz - toComeS;

/** Velocity factor and near-end delay which fit the readings best, with the lot's own as a reading among them. */
export interface TrimFit {
  velocityFactor: number;
  velocitySigma: number;
  offsetS: number;
}

/**
 * Fits velocity factor and connector offset together: delay = offset + length / (VF·c), weighted least squares.
 *
 * With readings of one length the offset is the connector's own; the lot's velocity factor is a prior.
 */
export function fitTrim(goal: TrimGoal, readings: readonly TrimReading[]): TrimFit {
  const slowness = 1 / (goal.velocityFactor * SPEED_OF_LIGHT);
  const slownessSigma = slowness * (goal.velocitySigma / goal.velocityFactor);
  // Normal equations of (offset, slowness) with priors on both.
  const offsetSigma = Math.max(OFFSET_SIGMA_S, Math.abs(goal.nearS) * 0.2);
  let [a, b, c] = [1 / offsetSigma ** 2, 0, 1 / slownessSigma ** 2];
  let [p, q] = [goal.nearS / offsetSigma ** 2, slowness / slownessSigma ** 2];
  for (const reading of readings) {
    const delayS = delayOfResonance(reading);
    const sigma = Math.hypot(delayS * READING_SIGMA, slowness * CUT_SIGMA_M);
    const weight = 1 / sigma ** 2;
    a += weight;
    b += weight * reading.lengthM;
    c += weight * reading.lengthM ** 2;
    p += weight * delayS;
    q += weight * delayS * reading.lengthM;
  }
  const det = a * c - b * b;
  const fitted = (a * q - b * p) / det;
  return {
    velocityFactor: 1 / (fitted * SPEED_OF_LIGHT),
    velocitySigma: Math.sqrt(a / det) / fitted / (fitted * SPEED_OF_LIGHT),
    offsetS: (c * p - b * q) / det,
  };
}

/** Cable for the first cut: what the goal asks for, long by three standard deviations of the velocity factor, 25 mm at least. */
export function firstCut(goal: TrimGoal): { lengthM: number; longM: number } {
  const wantedM = (wantedS(goal) - goal.nearS) * goal.velocityFactor * SPEED_OF_LIGHT;
  const longM = Math.max(0.025, (3 * wantedM * goal.velocitySigma) / goal.velocityFactor);
  return { lengthM: wantedM + longM, longM };
}

/**
 * The next cut from the readings so far.
 *
 * Of a first reading 80 % is cut; later all but a margin which the reading and the hand need, so that it is never cut below its goal.
 */
export function nextCut(goal: TrimGoal, readings: readonly TrimReading[]): TrimAdvice {
  const last = readings.at(-1);
  if (!last) return { kind: 'first', ...firstCut(goal) };
  const doubt = doubtOf(goal, last);
  if (doubt) return doubt;
  const residual = residualOf(goal, readings, last);
  const marginM = KEPT_SIGMAS * residual.metresSigma;
  const toleranceM = residual.metres === 0 ? 0 : (goal.toleranceDeg * residual.metres) / residual.degrees;
  if (residual.metres < -marginM) return { kind: 'too short', residual };
  // Within two margins another cut would risk more than it gains.
  if (residual.metres <= Math.max(toleranceM, 2 * marginM)) return { kind: 'done', residual };
  const first = readings.length === 1;
  // What 80 % would leave may be less than the margin: then the margin is left.
  const share = first ? FIRST_SHARE * residual.metres : Infinity;
  const cutM = Math.min(share, residual.metres - marginM);
  return {
    kind: 'cut',
    cutM,
    lengthM: last.lengthM - cutM,
    residual,
    first,
    trimToHz: resonanceOfDelay(wantedS(goal), last.far, last.order),
  };
}

function residualOf(goal: TrimGoal, readings: readonly TrimReading[], last: TrimReading): Residual {
  const { velocityFactor } = fitTrim(goal, readings);
  const speed = velocityFactor * SPEED_OF_LIGHT;
  const delayS = delayOfResonance(last);
  const excessS = delayS - wantedS(goal);
  const metres = excessS * speed;
  return {
    metres,
    // The reading itself, the coming cut, and the velocity factor on what is left to cut.
    metresSigma: Math.hypot(
      delayS * READING_SIGMA * speed,
      CUT_SIGMA_M,
      metres * (goal.velocitySigma / goal.velocityFactor),
    ),
    degrees: excessS * goal.frequencyHz * 360,
    hz: resonanceOfDelay(wantedS(goal), last.far, last.order) - last.frequencyHz,
  };
}

/** Velocity factor which one reading alone would have. */
const velocityIn = (goal: TrimGoal, reading: TrimReading): number =>
  reading.lengthM / ((delayOfResonance(reading) - goal.nearS) * SPEED_OF_LIGHT);

/**
 * The velocity factor a lot would really have, when readings which were doubted agree with each other: then the cable is not as it is named.
 *
 * @returns nothing while there is one of them only, or while they contradict each other
 */
export function velocityOfDoubts(goal: TrimGoal, doubted: readonly TrimReading[]): number | undefined {
  const [last, before] = doubted.map((one) => velocityIn(goal, one)).reverse();
  if (before === undefined || !(last >= SLOWEST && last <= 1)) return undefined;
  return Math.abs(last / before - 1) <= AGREEING ? (last + before) / 2 : undefined;
}

/** Does the reading belong to a piece of this length at all? Which resonance would? */
function doubtOf(goal: TrimGoal, reading: TrimReading): Extract<TrimAdvice, { kind: 'doubt' }> | undefined {
  const speedWith = (order: number): number => velocityIn(goal, { ...reading, order });
  const fits = (order: number): boolean =>
    Math.abs(speedWith(order) / goal.velocityFactor - 1) <=
    Math.max(LEAST_DOUBT, (DOUBT_SIGMAS * goal.velocitySigma) / goal.velocityFactor);
  if (fits(reading.order)) return undefined;
  const order = [1, 2, 3, 4, 5, 6, 7, 8].find(fits);
  const found = speedWith(reading.order);
  return {
    kind: 'doubt',
    order,
    why:
      order !== undefined
        ? `Read as resonance ${reading.order} the cable would have a velocity factor of ${found.toFixed(3)}; as resonance ${order} it has ${speedWith(order).toFixed(3)}.`
        : `${(reading.lengthM * 1000).toFixed(0)} mm of this cable cannot be resonant there: its velocity factor would be ${found.toFixed(3)} instead of ${goal.velocityFactor.toFixed(3)}. Check the length, the unit and the far end.`,
  };
}
