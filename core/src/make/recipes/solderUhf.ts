import { isOfSeries } from '../../catalog/index.js';
import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe, type RecipeInput, type Step } from '../recipe.js';
import { shortCheck } from '../steps/check.js';
import { nutDown } from '../steps/finish.js';
import { soldering } from '../steps/benches.js';
import { heat, solderHoles, solderTip } from '../steps/join.js';
import { bareCentre, dressBraid } from '../steps/prepare.js';
import { placed } from '../steps/words.js';

/** UHF plug soldered through the holes of its body: it cannot turn, and it wants a hot iron and a short time. */
export const solderUhf: Recipe = {
  id: 'solder-uhf',
  name: 'UHF plug, soldered through its holes',
  makes: ({ style, face }) => style === 'solder' && isOfSeries(face, 'uhf'),
  steps: (input) =>
    generalCard(input, {
      slide: ['nut'],
      prepare: [dressBraid(input), tin, bareCentre(input)],
      firstCheck: 'Cold, before the body goes on.',
      join: [
        body(input),
        shortCheck('short2', 'Body on, nothing soldered yet.'),
        solderHoles(),
        shortCheck('short3', 'Cold again: melted insulation shows now.'),
        solderTip,
      ],
      finish: [nutDown(input)],
    }),
  source: commonPractice,
};

const tin: Step = {
  id: 'tin',
  name: 'Tin',
  title: 'Tin the braid, thinly',
  how: 'Hot iron, little solder, all round; it must still enter the body. Let it cool.',
  byTouch:
    'Iron’s side on the braid, turn the cable, a touch of solder at each quarter. When cold it is stiff and still round.',
  looksRight: ['one smooth skin, the weave still to be seen'],
  feelsRight: ['stiff, round, the weave still to be felt', 'it enters the body'],
  goesWrong: ['lumps: the body does not go over it', 'too long: the dielectric softens under it'],
  ...heat,
  tools: soldering('heavy-iron'),
};

const body = (input: RecipeInput): Step => ({
  id: 'body',
  name: 'Body',
  title: 'Screw the body on until the braid shows in its holes',
  how: 'Turn the body, hold the cable. The jacket’s edge grips in its thread, the conductor comes out of the tip.',
  byTouch:
    'Turn the body on until a pin’s point finds metal in every hole and the conductor pricks at the tip.',
  looksRight: ['tinned braid behind every hole', 'conductor through the tip'],
  feelsRight: ['metal behind every hole', 'conductor felt at the tip'],
  goesWrong: ['a strand pushed forward touches the centre'],
  places: placed(input, 'body'),
});
