import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe, type RecipeInput, type Step } from '../recipe.js';
import { shortCheck } from '../steps/check.js';
import { nutDown, shrinkDown } from '../steps/finish.js';
import { solderHoles, solderTip } from '../steps/join.js';
import { bareCentre, foldBack } from '../steps/prepare.js';
import { placed } from '../steps/words.js';

/** UHF plug for 10 mm cable with a reducer for thin cable; the braid lies over the reducer’s nose. */
export const reducerUhf: Recipe = {
  id: 'reducer-uhf',
  name: 'UHF plug with reducer',
  makes: ({ style }) => style === 'reducer',
  steps: (input) =>
    generalCard(input, {
      slide: ['nut', 'shrink', 'reducer'],
      prepare: [foldBack(input, 'the reducer’s nose'), bareCentre(input)],
      firstCheck: 'Braid on the reducer, body still off.',
      join: [
        body(input),
        shortCheck('short2', 'Screwed home, nothing soldered yet.'),
        solderHoles({
          how: 'Heat the body, brief. Parts made to be pressed only are left as they are: see their sheet.',
          looksRight: ['solder drawn round braid and reducer'],
          goesWrong: ['thin cable’s insulation melts quickly: cool between the holes'],
        }),
        shortCheck('short3', 'Cold again.'),
        solderTip,
      ],
      finish: [nutDown(input), shrinkDown(input, 'the reducer')],
    }),
  source: commonPractice,
};

const body = (input: RecipeInput): Step => ({
  id: 'body',
  name: 'Body',
  title: 'Screw the reducer into the body, conductor through the tip',
  how: 'Hold the cable still, turn the body. The braid is caught between reducer and body.',
  byTouch:
    'Cable still in one hand, turn the body with the other until it stops; a pin’s point finds braid in the holes.',
  looksRight: ['reducer home, braid showing in the holes'],
  feelsRight: ['it stops hard', 'conductor felt at the tip'],
  goesWrong: ['cable turned along: the braid shears off'],
  places: placed(input, 'body'),
  tools: [{ tool: 'pliers' }],
});
