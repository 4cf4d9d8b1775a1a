import { reflectionFromPowers, swrFromReflection } from '../line/index.js';
import type { ReadingVerdict } from './expectations.js';

/** What the meters at both ends show at one power, W. */
export interface PowerStep {
  frequencyHz: number;
  /** *Forward* power at the radio’s end. */
  forwardW: number;
  reflectedW: number;
  /** In the dummy load at the far end, where a second meter is. */
  loadW?: number;
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
 */
export function judgePowerSteps(
  steps: readonly PowerStep[],
  fullW: number,
): { verdict: ReadingVerdict; why: string } {
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
