import { lossToleranceOf, type Cable } from '../catalog/index.js';
import { matchedLossDb } from '../line/index.js';
import { BY_TONE_OHM, figure, formatFrequency, formatLength, type Figure } from '../quantity/index.js';

export type Test = 'loop resistance' | 'insulation' | 'insertion loss';

/** What a meter should show, and the limits of a pass. */
export interface Expectation {
  /** Stable within the assembly: `loop`, `insulation`, `loss@452300000`. */
  id: string;
  test: Test;
  /** For people: `Insertion loss at 452.3 MHz`. */
  name: string;
  how: string;
  /** What has to be on the far end while it is read. */
  far: 'open' | 'short' | 'load';
  /** Where loss is read, Hz. */
  frequencyHz?: number;
  expected: Figure;
  /** A reading outside is a fail; limits in the unit of `expected`. */
  least: number;
  most: number;
}

export type ReadingVerdict = 'pass' | 'marginal' | 'fail';

export interface ReadingJudgement {
  verdict: ReadingVerdict;
  /** In words, with what to do next. */
  why: string;
}

/** How a shop's ohm-meter reads: through its own leads, or by four wires. */
export type OhmMeter = 'two-wire' | 'four-wire';

/** What is read besides the copper, ohm: contacts, and of a two-wire meter its leads. Common practice, no source. */
const BESIDES_OHM: Record<OhmMeter, number> = { 'two-wire': 0.3, 'four-wire': 0.05 };
/** A hand-held two-wire meter is asked for nothing tighter, ohm: a good jumper that reads 0.2 ohm passes. Common practice, no source. */
const TWO_WIRE_FLOOR_OHM = 0.5;

/** Limits of a resistance read through some copper: its own within 15 %, and what is read besides. */
export function resistanceLimits(
  copperOhm: number,
  meter: OhmMeter,
): { spread: number; least: number; most: number } {
  const spread = copperOhm * 0.15 + BESIDES_OHM[meter];
  const most = copperOhm + spread;
  return {
    spread,
    least: Math.max(0, copperOhm - spread),
    most: meter === 'two-wire' ? Math.max(TWO_WIRE_FLOOR_OHM, most) : most,
  };
}

/** Less cannot be judged with a hand-held analyser or a pair of meters, dB. Common practice, no source. */
const JUDGED_FROM_DB = 0.5;

/** Insulation of a dry polyethylene or PTFE cable. Common practice, no source. */
const DRY_OHM = 100e6;

/**
 * What to expect of one finished assembly.
 *
 * @param lengthM physical length, m
 * @param frequenciesHz frequencies in use, Hz; loss is expected at up to three of them
 * @param meter how the shop's ohm-meter reads
 * Loop: cable's DC ohm/km of both conductors, 20 °C. Loss: matched loss, the cable's tolerance and 0.1 dB for the ends and the meter (common practice).
 */
export function expectations(
  cable: Cable,
  lengthM: number,
  frequenciesHz: readonly number[],
  meter: OhmMeter = 'two-wire',
): Expectation[] {
  const loop = ((cable.innerOhmPerKm + cable.outerOhmPerKm) * lengthM) / 1000;
  const { spread, least, most } = resistanceLimits(loop, meter);
  return [
    {
      id: 'loop',
      test: 'loop resistance',
      name: 'Loop resistance',
      how: `Join pin and shell at the far end, measure at the near one. Zero the meter’s leads first.`,
      far: 'short',
      expected: figure(
        loop,
        'ohm',
        `DC ohm/km of ${cable.name}, ${formatLength(lengthM, { system: 'metric' })}, 20 °C`,
        spread,
      ),
      least,
      most,
    },
    {
      id: 'insulation',
      test: 'insulation',
      name: 'Insulation, pin to shell',
      how: 'Both ends open and dry; hold the leads by their handles.',
      far: 'open',
      expected: figure(Infinity, 'ohm', 'common practice, no source: above 100 MΩ when dry'),
      least: DRY_OHM,
      most: Infinity,
    },
    ...frequenciesHz.map((frequencyHz): Expectation => {
      const loss = matchedLossDb(cable, frequencyHz, lengthM);
      const tolerance = loss * lossToleranceOf(cable) + 0.1;
      return {
        id: `loss@${Math.round(frequencyHz)}`,
        test: 'insertion loss',
        name: `Insertion loss at ${formatFrequency(frequencyHz)}`,
        how: 'On the bench from end to end; on an installed cable half the return loss with the far end open.',
        far: 'load',
        frequencyHz,
        expected: figure(loss, 'dB', `k1·√f + k2·f of ${cable.name} (${cable.source})`, tolerance),
        least: Math.max(0, loss - tolerance),
        most: Math.max(JUDGED_FROM_DB, loss + tolerance),
      };
    }),
  ];
}

/** Judges a reading against its expectation, in words. */
export function judge(expectation: Expectation, value: number): ReadingJudgement {
  const judgements: Record<Test, (e: Expectation, v: number) => ReadingJudgement> = {
    'loop resistance': judgeLoop,
    insulation: judgeInsulation,
    'insertion loss': judgeLoss,
  };
  return judgements[expectation.test](expectation, value);
}

function judgeLoop({ least, most }: Expectation, ohm: number): ReadingJudgement {
  if (ohm === BY_TONE_OHM)
    return { verdict: 'pass', why: 'Through, by tone: how well, only a meter with figures says.' };
  if (ohm < least)
    return {
      verdict: 'fail',
      why: 'Lower than the copper allows: a short before the far end, or the wrong cable.',
    };
  if (ohm <= most) return { verdict: 'pass', why: 'As the copper of this length should be.' };
  if (ohm <= most * 1.25)
    return { verdict: 'marginal', why: 'A little high: clean the contacts, zero the leads and read again.' };
  if (ohm > 1000 * Math.max(most, 0.01))
    return {
      verdict: 'fail',
      why: 'Open or nearly so: a broken conductor, a pin not home, or the far end is not joined. Check the unit too.',
    };
  return { verdict: 'fail', why: 'Too high: a cold joint, a pin not home, or a corroded braid.' };
}

function judgeInsulation({ least }: Expectation, ohm: number): ReadingJudgement {
  if (ohm >= least) return { verdict: 'pass', why: 'Open, as it should be.' };
  if (ohm >= least / 10)
    return { verdict: 'marginal', why: 'Leaky: damp or flux on the insulator. Dry, clean and read again.' };
  if (ohm < 100)
    return {
      verdict: 'fail',
      why: 'Shorted: a whisker or melted insulation. Open the end nearer to the short first.',
    };
  return { verdict: 'fail', why: 'Far too low: water or a carbon track. Do not transmit into it.' };
}

function judgeLoss({ expected, least, most }: Expectation, db: number): ReadingJudgement {
  const loss = Math.abs(db);
  if (expected.value < JUDGED_FROM_DB && loss <= most)
    return {
      verdict: 'pass',
      why: `So little (${expected.value.toFixed(2)} dB computed) cannot be judged with a hand-held analyser or a pair of meters; nothing speaks against it.`,
    };
  if (loss < least)
    return {
      verdict: 'fail',
      why: 'Less than this cable can lose: check the set-up, the length or the cable type.',
    };
  if (loss <= most)
    return { verdict: 'pass', why: `Within ${(most - expected.value).toFixed(2)} dB of the computed loss.` };
  if (loss <= most + 0.3)
    return { verdict: 'marginal', why: 'A little more than computed: look at both ends, read again.' };
  return {
    verdict: 'fail',
    why: 'Too lossy: water, corroded braid, or not the cable it is called. A good SWR does not clear it.',
  };
}
