import { reflectionFromPowers, swrFromReflection } from '../line/index.js';
import type { LossRead } from './powerDetective.js';
import type { ReadingVerdict } from './expectations.js';

/** What the meters at both ends show at one power, W. */
export interface PowerStep {
  frequencyHz: number;
  /** *Forward* power at the radio’s end. */
  forwardW: number;
  reflectedW: number;
  /** In the dummy load at the far end, where a second meter is. */
  loadW?: number;
  /** Both meters in series, without the cable: what they differ by. */
  inSeries?: true;
}

/** What follows from one step. */
export interface BothEnds {
  swr: number;
  /** Of *forward* power, from the radio’s end into the load, dB. */
  lossDb?: number;
}

export const bothEnds = ({ forwardW, reflectedW, loadW }: PowerStep): BothEnds => ({
  swr: swrFromReflection(reflectionFromPowers(forwardW, reflectedW)),
  ...(loadW !== undefined && loadW > 0 ? { lossDb: 10 * Math.log10(forwardW / loadW) } : {}),
});

/** Meters are good to this share of their reading, each. Common practice, no source. */
const METER_SHARE = 0.05;
/** Two meters at their worst against each other, dB. */
const METERS_DB = 10 * Math.log10((1 + METER_SHARE) / (1 - METER_SHARE));

/** Loss which both meters show in one step, and its standard deviation: limits of two meters taken as even over their range. */
export function lossReadOf(step: PowerStep, differenceDb?: number): LossRead | undefined {
  const { lossDb } = bothEnds(step);
  if (lossDb === undefined) return undefined;
  const limitDb = differenceDb === undefined ? METERS_DB : METERS_DB / 2;
  return {
    frequencyHz: step.frequencyHz,
    lossDb: lossDb - (differenceDb ?? 0),
    sigmaDb: limitDb / Math.sqrt(3),
  };
}

/** By how much the second meter reads less than the first, dB, read without a cable between them; 0 while nobody has looked. */
export function metersDifferenceDb(steps: readonly PowerStep[]): number {
  const last = steps.findLast(({ inSeries, loadW }) => inSeries && loadW !== undefined && loadW > 0);
  return last?.loadW === undefined ? 0 : 10 * Math.log10(last.forwardW / last.loadW);
}

/** What the run should lose into a dummy load, where the antenna's SWR has no part: matched loss, and how sure that is, dB. */
export interface ExpectedLoss {
  lossDb: number;
  toleranceDb: number;
}

/** Loss read against the loss computed, with the meters' own accuracy. */
function judgeLossOf(
  steps: readonly PowerStep[],
  { lossDb, toleranceDb }: ExpectedLoss,
): { verdict: ReadingVerdict; why: string } | undefined {
  const compared = steps.some(({ inSeries }) => inSeries);
  // Meters held against each other agree better than each agrees with the world.
  const metersDb = compared ? METERS_DB / 2 : METERS_DB;
  const read = steps.flatMap((step) => {
    const db = correctedLossDb(step, steps);
    return db === undefined ? [] : [{ step, db }];
  });
  const worst = read.toSorted((x, y) => Math.abs(y.db - lossDb) - Math.abs(x.db - lossDb)).at(0);
  if (!worst) return undefined;
  const { step, db } = worst;
  const limitDb = toleranceDb + metersDb;
  const figures = `${step.forwardW} W in and ${step.loadW} W out are ${db.toFixed(1)} dB; ${lossDb.toFixed(1)} dB are computed, and the meters are good to ${metersDb.toFixed(1)} dB`;
  if (db > lossDb + limitDb)
    return {
      verdict: 'fail',
      why: `${figures}: too much is lost. Look for water, a bad joint or another cable.`,
    };
  if (db < lossDb - limitDb)
    return {
      verdict: 'marginal',
      why: `${figures}: less than this cable can lose. Put both meters in series without the cable first, and keep their difference.`,
    };
  return undefined;
}

/** Two meters in series: apart by no more than both are good to, they agree. */
function judgeMeters(differenceDb: number): { verdict: ReadingVerdict; why: string } {
  const apart = `The meters differ by ${Math.abs(differenceDb).toFixed(2)} dB, which is taken off from now on.`;
  return Math.abs(differenceDb) <= METERS_DB
    ? { verdict: 'pass', why: `${apart} Now put the run between them.` }
    : {
        verdict: 'marginal',
        why: `${apart} Good meters differ by ${METERS_DB.toFixed(1)} dB at the most: look at ranges, elements and zeros first.`,
      };
}

/** With how much a run is tried first, W: little of its power, and no more than a bench set gives. Common practice, no source. */
export const firstStepW = (fullW: number): number => Math.min(5, fullW / 2);

/** What a step loses between both meters, with their own difference taken off, dB; nothing where only one was read. */
export function correctedLossDb(step: PowerStep, all: readonly PowerStep[]): number | undefined {
  const { lossDb } = bothEnds(step);
  return lossDb === undefined || step.inSeries ? undefined : lossDb - metersDifferenceDb(all);
}

/** A share of full power which counts as full: meters are good to 5 %. */
const FULL_SHARE = 0.9;
/** SWR and loss of a cold and a warm line differ by less. Common practice, no source. */
const SWR_RISE = 0.25;
const LOSS_RISE_DB = 0.2;

/**
 * Judges a run taken up in power step by step: nothing may change but the power.
 *
 * @param steps in any order; at least one
 * @param fullW the transmitter’s *forward* power, W
 * @param expected matched loss of the run; without it only changes are judged
 */
export function judgePowerSteps(
  all: readonly PowerStep[],
  fullW: number,
  expected?: ExpectedLoss,
): { verdict: ReadingVerdict; why: string } {
  const steps = all.filter(({ inSeries }) => !inSeries);
  if (steps.length === 0) return judgeMeters(metersDifferenceDb(all));
  const rising = steps.toSorted((x, y) => x.forwardW - y.forwardW);
  const [low] = rising;
  const first = bothEnds(low);
  const watts = (value: number): string => `${value < 10 ? value.toFixed(1) : value.toFixed(0)} W`;
  for (const step of rising.slice(1)) {
    const { swr, lossDb } = bothEnds(step);
    if (swr > first.swr + SWR_RISE)
      return {
        verdict: 'fail',
        why: `At ${watts(step.forwardW)} the SWR is ${swr.toFixed(2)}, at ${watts(low.forwardW)} it was ${first.swr.toFixed(2)}: something breaks down. Stop, let it cool, look at the ends and the arrester.`,
      };
    if (lossDb !== undefined && first.lossDb !== undefined && lossDb > first.lossDb + LOSS_RISE_DB)
      return {
        verdict: 'fail',
        why: `At ${watts(step.forwardW)} it loses ${(lossDb - first.lossDb).toFixed(1)} dB more than at ${watts(low.forwardW)}: something heats. Stop transmitting, microphone off, then touch each connector: the warm one is the place.`,
      };
  }
  const lost = expected && judgeLossOf(all, expected);
  if (lost) return lost;
  const most = rising[rising.length - 1].forwardW;
  if (most < FULL_SHARE * fullW)
    return {
      verdict: 'marginal',
      why: `Alike up to ${watts(most)}; full power is ${watts(fullW)} and was not tried.`,
    };
  return {
    verdict: 'pass',
    why:
      steps.length > 1
        ? `Nothing changes from ${watts(low.forwardW)} to ${watts(most)}.`
        : `Taken at ${watts(most)} alone: a step at low power shows what changes.`,
  };
}
