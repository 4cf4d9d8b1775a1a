import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe, type RecipeInput, type Step } from '../recipe.js';
import { shortCheck } from '../steps/check.js';
import { nutDown } from '../steps/finish.js';
import { placed, ratchetCaution } from '../steps/words.js';

/** UHF plug whose teeth go through the jacket: nothing is stripped. */
export const piercingUhf: Recipe = {
  id: 'piercing-uhf',
  name: 'UHF plug, piercing',
  makes: ({ style }) => style === 'piercing',
  steps: (input) =>
    generalCard(input, {
      slide: ['nut'],
      firstCheck: 'The bare cut, before the connector: a strand of braid over it shorts.',
      join: [push(input), shortCheck('short2', 'Pushed home, teeth still open.'), teeth],
      finish: [nutDown(input)],
    }),
  source: commonPractice,
};

const push = (input: RecipeInput): Step => ({
  id: 'push',
  name: 'Push home',
  title: 'Push the cable into the connector until it stops',
  how: 'Straight, without turning. The spike enters the middle of the strands.',
  byTouch: 'Cable in line with the connector, push hard without turning until it stops.',
  looksRight: ['jacket against the stop', 'cable cannot be pushed further'],
  feelsRight: ['it stops hard'],
  goesWrong: ['bent spike: it comes out beside the strands and touches the braid'],
  places: placed(input, 'body'),
});

const teeth: Step = {
  id: 'crimp',
  name: 'Crimp',
  title: 'Press the teeth through the jacket',
  how: 'All the way, on both sides if the part has two rows.',
  byTouch: 'Find the row of teeth with a fingertip, jaws over it, press until they are level with the shell.',
  looksRight: ['teeth flush with the shell'],
  feelsRight: ['teeth level with the shell'],
  goesWrong: ['pressed too deep: the braid is pushed into the dielectric'],
  caution: ratchetCaution,
  tools: [{ tool: 'pliers' }],
  irreversible: true,
};
