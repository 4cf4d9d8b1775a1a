import {
  driftOf,
  judgePowerSteps,
  type ExpectedLoss,
  type Findings,
  type PowerStep,
  type Test,
} from '../../prove/index.js';
import { readingValue } from '../facts/reading.js';
import type { ProofSheet } from '../work/work.js';

/** Below this a meter beeps, ohm; above the others an end is dry, or a conductor is broken. Common practice, no source. */
const SHORT_OHM = 100;
const DRY_OHM = 100e6;
const BROKEN_OHM = 1000;

/** What the meter readings of the assemblies say, in the words of the causes: the worst of each counts. */
export function readingFindings(proofs: readonly ProofSheet[]): Pick<Findings, 'insulation' | 'continuity'> {
  const read = (test: Test): number[] =>
    proofs.flatMap(({ expectations }) =>
      expectations.flatMap((one) => (one.test === test && one.reading ? [readingValue(one.reading)] : [])),
    );
  const insulation = read('insulation');
  const loop = read('loop resistance');
  const least = Math.min(...insulation);
  return {
    ...(insulation.length > 0
      ? { insulation: least < SHORT_OHM ? 'short' : least < DRY_OHM ? 'leaky' : 'open' }
      : {}),
    ...(loop.length > 0 ? { continuity: Math.max(...loop) > BROKEN_OHM ? 'open' : 'through' } : {}),
  };
}

/** What the power at both ends says, in the words of the causes; nothing while none was read. */
export function powerFinding(
  steps: readonly PowerStep[],
  fullW: number,
  expected: ExpectedLoss,
): Pick<Findings, 'power'> {
  if (!steps.some(({ inSeries }) => !inSeries)) return {};
  const { verdict, why } = judgePowerSteps(steps, fullW, expected);
  if (verdict !== 'fail') return { power: 'as computed' };
  return { power: why.includes('SWR') ? 'more comes back' : 'more lost' };
}

type LossSweep = { frequencyHz: Float64Array; lossDb: Float64Array };

/** What the loss against the birth record says, in the words of the causes, and the rain. */
export function driftFinding(
  birth: LossSweep,
  now: LossSweep,
  rained: boolean,
): Pick<Findings, 'drift' | 'rain'> {
  const { verdict, rises } = driftOf(birth, now, rained);
  if (verdict === 'pass') return { drift: 'none' };
  return {
    drift: rises ? 'more, rising with frequency' : 'more, alike everywhere',
    ...(rained ? { rain: 'worse after rain' as const } : {}),
  };
}
