import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe, type RecipeInput, type Step } from '../recipe.js';
import { shortCheck } from '../steps/check.js';
import { nutDown, reliefHome } from '../steps/finish.js';
import { solderTip } from '../steps/join.js';
import { bareCentre, dressBraid } from '../steps/prepare.js';
import { placed } from '../steps/words.js';

/** Solder-less on the shield: the braid is fanned over the reducer and pressed by washer and spacer. */
export const washersUhf: Recipe = {
  id: 'washers-uhf',
  name: 'UHF plug, washer and spacer',
  makes: ({ style }) => style === 'washers',
  steps: (input) =>
    generalCard(input, {
      slide: ['relief', 'reducer', 'nut'],
      prepare: [dressBraid(input), bareCentre(input), fan(input)],
      firstCheck: 'Washer and spacer on, body still off.',
      join: [body(input), shortCheck('short2', 'Screwed home, tip not soldered yet.'), solderTip],
      finish: [nutDown(input), reliefHome],
    }),
  source: commonPractice,
};

const fan = (input: RecipeInput): Step => ({
  id: 'fan',
  name: 'Fan',
  title: 'Fan the braid out flat over the face of the reducer',
  how: 'Like a daisy, every strand outwards; then washer, then spacer over the dielectric.',
  byTouch:
    'Stroke every strand outwards over the reducer’s flat face; washer, then spacer follow over the dielectric.',
  looksRight: ['flat and even under the washer', 'no strand inside the washer’s hole'],
  feelsRight: ['the washer lies flat and does not rock'],
  goesWrong: [
    'washer under the braid: the shield is not pressed',
    'a strand turned inwards shorts to the centre',
  ],
  places: placed(input, 'washer', 'spacer'),
  confirm: true,
});

const body = (input: RecipeInput): Step => ({
  id: 'body',
  name: 'Body',
  title: 'Body over the conductor, screw it on the reducer hard',
  how: 'Two tools. The pressure is the joint: what is loose now is loose for ever.',
  byTouch: 'Body over the conductor; one tool on the reducer, one on the body, until neither gives.',
  looksRight: ['no gap between body and reducer', 'conductor through the tip'],
  feelsRight: ['no gap under the nail', 'conductor felt at the tip'],
  goesWrong: ['turned with the cable: the braid winds up'],
  places: placed(input, 'body'),
  tools: [{ tool: 'spanners' }],
});
