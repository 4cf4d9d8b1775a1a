import type { Findings, Test } from '../../prove/index.js';
import { readingValue } from '../facts/reading.js';
import type { ProofSheet } from '../sheet/sheet.js';

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
