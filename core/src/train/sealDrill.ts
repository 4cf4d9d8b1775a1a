import prand from 'pure-rand';
import { shuffled } from '../chance/index.js';
import { formatLength, type UnitSystem } from '../quantity/index.js';
import {
  buriedInstructions,
  passWords,
  passesFor,
  sealSystem,
  type TapedExposure,
  type SealMethod,
} from '../seal/index.js';
import { sealMethod } from '../practice/index.js';
import { drawn, type DrillScore, type Question } from './question.js';
import type { DrillSetting } from './setting.js';

/** A question with its right answer first, and what each wrong one brings. */
interface Topic {
  question: string;
  right: string;
  wrong: [text: string, causes: string][];
  reason: string;
}

const places: Record<TapedExposure, string> = {
  sheltered: 'under a roof',
  outdoor: 'outdoors',
  salt: 'in salt air',
  ice: 'in ice',
};
const exposures = Object.keys(places) as TapedExposure[];

/** A joint of two N plugs on a barrel, about: what these questions ask does not depend on it. */
const JOINT = {
  joint: [{ name: 'joint', lengthM: 0.06, diameterM: 0.02 }],
  jackets: { lowerM: 0.01, upperM: 0.01 },
};

const topics: Record<string, (exposure: TapedExposure, method: SealMethod, system: UnitSystem) => Topic> = {
  passes: (exposure) => {
    const right = passWords(passesFor[exposure]);
    return {
      question: `A joint ${places[exposure]}: how is the rubber put on?`,
      right,
      wrong: [
        ...[1, 2, 3]
          .filter((count) => count !== passesFor[exposure])
          .map((count): [string, string] => [
            passWords(count),
            count < passesFor[exposure]
              ? 'Too few passes for that place.'
              : 'More than that place asks for: tape and time for nothing.',
          ]),
        [
          'Two passes: begin at the bottom, go up, and come back down.',
          'A last pass downwards leaves every lap open to the water that runs down.',
        ],
      ],
      reason: `${passesFor[exposure]} of rubber ${places[exposure]}; the last one always upwards, like tiles on a roof.`,
    };
  },
  start: (exposure, method, system) => {
    const plan = sealSystem('rubber and vinyl').plan({ ...JOINT, exposure }, method);
    const out = formatLength(-(plan?.layers[0].fromM ?? 0), { system });
    return {
      question: `Where does the rubber begin on a joint ${places[exposure]}?`,
      right: `${out} down on the lower jacket`,
      wrong: [
        ['At the edge of the coupling nut', 'Nothing holds it there, and water follows the cable under it.'],
        ['On the thread, under the nut', 'Tape in a thread keeps the nut from its seat: the joint is loose.'],
        [
          'Anywhere, as long as the nut is covered',
          'The nut is the smallest part of the way in; the jackets are the edge that has to seal.',
        ],
      ],
      reason: `It runs out on both jackets by one width of the tape, ${formatLength(method.tapes.fusing.widthMm / 1000, { system })}.`,
    };
  },
  layers: (exposure) => ({
    question: `In which order do the layers go on a joint ${places[exposure]}?`,
    right: 'Rubber first, then vinyl over all of it, past both ends',
    wrong: [
      [
        'Vinyl first, then rubber over it',
        'Rubber in the sun cracks within a few years: the vinyl is its UV layer.',
      ],
      [
        'Vinyl alone, in many turns',
        'Vinyl sticks to itself but does not fuse: water creeps along its spiral.',
      ],
      [
        'Rubber first, then vinyl as far as the rubber shows',
        'The edges stay in the sun and lift; the vinyl goes past both ends.',
      ],
    ],
    reason:
      'Rubber fuses and keeps the water out; vinyl keeps the sun off and holds the ends down. Its last turn goes on without tension.',
  }),
  wet: (exposure) => ({
    question: `The joint ${places[exposure]} is damp from fog. What now?`,
    right: 'Stop: open it, dry it, and tape it only when it is dry',
    wrong: [
      [
        'Tape it tightly, the tape keeps more water out',
        'It keeps the water in: the joint corrodes under a sound wrap.',
      ],
      [
        'Fill it with grease and tape it',
        'Grease over water seals the water in; on the centre contact it is loss.',
      ],
      ['One pass more than usual', 'No number of passes dries what is under them.'],
    ],
    reason: 'Never tape a wet or frozen joint.',
  }),
  buried: () => ({
    question: 'A joint will lie in the ground. How is it sealed?',
    right: buriedInstructions[1],
    wrong: [
      [
        'Three passes of rubber and a UV layer',
        'Tape in the ground lets water in within a season or two, and there is no sun.',
      ],
      [
        'Two passes of rubber, then in sand',
        'Sand drains, tape does not seal: in a year the braid is green.',
      ],
      ['Grease in the connectors, nothing outside', 'Grease stops no standing water.'],
    ],
    reason: buriedInstructions[0],
  }),
};

/** Questions by their id: `seal:passes|ice`; what holds everywhere is asked once. */
const pool: string[] = Object.keys(topics).flatMap((topic) =>
  (topic === 'passes' ? exposures : (['outdoor'] as const)).map((exposure) => `seal:${topic}|${exposure}`),
);

/**
 * How joints are sealed, by the rules which make the seal plans.
 *
 * @param seed any whole number; the same seed, setting and score give the same question
 */
export function nextSeal({ practice, system }: DrillSetting, score: DrillScore, seed: number): Question {
  const method = { ...sealMethod(practice), courtesy: false };
  const rng = prand.xoroshiro128plus(seed);
  const id = drawn(pool, score, rng);
  const [topic, exposure] = id.slice('seal:'.length).split('|');
  const { question, right, wrong, reason } = topics[topic](exposure as TapedExposure, method, system);
  return {
    id,
    question,
    options: shuffled([right, ...wrong.map(([text]) => text)], rng).map((text) => ({ id: text, text })),
    right,
    reason: (answer) => `${wrong.find(([text]) => text === answer)?.[1] ?? ''} ${reason}`.trim(),
  };
}
