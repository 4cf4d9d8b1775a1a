import prand, { type RandomGenerator } from 'pure-rand';
import { entry, type Cable } from '../catalog/index.js';
import { below, shuffled } from '../chance/index.js';
import { matchedLossDb } from '../line/index.js';
import { cardExpectation, expectations, judge, type Expectation, type OhmMeter } from '../prove/index.js';
import {
  formatDecibels,
  formatFrequency,
  formatLength,
  formatResistance,
  type UnitSystem,
} from '../quantity/index.js';
import { drawn, type DrillScore, type Question } from './question.js';
import type { DrillSetting } from './setting.js';
import type { Subject } from './subjects.js';

/** What is read, and values of a meter which stand for one judgement each. */
interface Reading {
  set: (cable: Cable, system: UnitSystem) => string;
  expectation: (cable: Cable, meter: OhmMeter) => Expectation;
  values: (expectation: Expectation) => number[];
}

const OHM_LENGTHS_M = 20;
const LOSS_AT_HZ = 150e6;
/** Enough loss that it can be judged, dB. */
const LOSS_DB = 2;
const lossLengthM = (cable: Cable): number => Math.round(LOSS_DB / matchedLossDb(cable, LOSS_AT_HZ, 1));

const readings: Record<string, Reading> = {
  insulation: {
    set: (_, system) =>
      `${formatLength(OHM_LENGTHS_M, { system })} of it, both ends open: the ohm-meter from pin to shell shows`,
    expectation: (cable, meter) => cardExpectation('insulation', cable, OHM_LENGTHS_M, meter),
    values: ({ least }) => [least * 8, least / 4, 40e3, 0.6],
  },
  loop: {
    set: (_, system) =>
      `${formatLength(OHM_LENGTHS_M, { system })} of it, pin and shell joined at the far end, leads zeroed: the ohm-meter from pin to shell shows`,
    expectation: (cable, meter) => cardExpectation('loop', cable, OHM_LENGTHS_M, meter),
    values: ({ expected, most }) => [expected.value, most * 1.15, most * 6, 5e6],
  },
  loss: {
    set: (cable, system) =>
      `${formatLength(lossLengthM(cable), { system })} of it, end to end on the bench: the insertion loss at ${formatFrequency(LOSS_AT_HZ)} reads`,
    expectation: (cable, meter) => {
      const [loss] = expectations(cable, lossLengthM(cable), [LOSS_AT_HZ], meter).slice(2);
      return loss;
    },
    values: ({ expected, least, most }) => [least / 2, expected.value, most + 0.2, most + 1.5],
  },
};

/** Questions by their id: `reading:loop|rg58|2`, the last being which of its values the meter shows. */
const pool = (ends: readonly Subject[]): string[] =>
  [...new Set(ends.map(({ cable }) => cable.id))].flatMap((cable) =>
    Object.keys(readings).flatMap((reading) => [0, 1, 2, 3].map((k) => `reading:${reading}|${cable}|${k}`)),
  );

/**
 * What a meter shows on a finished cable, and what it means: judged as the cards judge it.
 *
 * @param seed any whole number; the same seed, setting and score give the same question
 */
export function nextReading(setting: DrillSetting, score: DrillScore, seed: number): Question {
  const rng = prand.xoroshiro128plus(seed);
  return readingQuestion(drawn(pool(setting.subjects.ends), score, rng), setting, rng);
}

function readingQuestion(
  id: string,
  { catalog, system, practice: { ohmMeter = 'two-wire' } }: DrillSetting,
  rng: RandomGenerator,
): Question {
  const [name, cableId, at] = id.slice(id.indexOf(':') + 1).split('|');
  const cable = entry(catalog.cables, cableId);
  const reading = readings[name];
  const expectation = reading.expectation(cable, ohmMeter);
  const values = reading.values(expectation);
  // Two readings of one kind of fault are told apart by a little chance, so that the figure is not learnt by heart.
  const shown = values[Number(at)] * (1 + below(rng, 5) / 100);
  const meaning = (value: number): string => {
    const { verdict, why } = judge(expectation, value);
    return `${verdict === 'pass' ? 'Pass' : verdict === 'fail' ? 'Fail' : 'Marginal'}. ${why}`;
  };
  const format = expectation.test === 'insertion loss' ? formatDecibels : formatResistance;
  const limits =
    expectation.most === Infinity
      ? `${format(expectation.least)} or more passes`
      : `${format(expectation.least)} to ${format(expectation.most)} passes`;
  return {
    id,
    question: `${cable.name}. ${reading.set(cable, system)} ${format(shown)}. What does it say?`,
    options: shuffled([...new Set([...values, shown].map(meaning))], rng).map((text) => ({ id: text, text })),
    right: meaning(shown),
    reason: () => `${limits}. ${expectation.how}`,
  };
}
