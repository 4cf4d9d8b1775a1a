import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe, type RecipeInput, type Step } from '../recipe.js';
import { shortCheck } from '../steps/check.js';
import { placed, stretch } from '../steps/words.js';

/** A connector clamped on a corrugated tube: no braid is dressed and no strip gauge has one; the part's own gauge and torque rule. */
export const corrugatedClamp: Recipe = {
  id: 'corrugated-clamp',
  name: 'corrugated line, clamped on its crest',
  makes: ({ style }) => style === 'corrugated',
  steps: (input) =>
    generalCard(input, {
      slide: ['back'],
      prepare: [sawn(input), ring(input), foam(input), chamfer],
      firstCheck: 'Filings blown out, before the front half goes on.',
      join: [
        shortCheck('short2', 'The face wiped once more: a filing across the foam shorts.'),
        close(input),
      ],
      finish: [],
    }),
  source: commonPractice,
};

const sawn = ({ small, gauge }: RecipeInput): Step => ({
  id: 'saw',
  name: 'Saw',
  title: 'Saw square in a valley, the tube pointing down',
  how: `Fine saw, along the bottom of a valley, so that filings fall out. ${small(stretch(gauge, 'tube'))} of tube show before the jacket.`,
  byTouch:
    'Let the blade find the valley by itself; turn the line and stay in it. Tap it, mouth down, until nothing falls.',
  looksRight: ['cut along one valley all round', 'face square to the line'],
  feelsRight: ['the blade ran in one valley all round', 'no step where the cut closes'],
  goesWrong: ['cut over a crest: the ring has nothing to sit on', 'filings in the foam: a short later'],
  caution: 'Eye protection on; saw away from the hand that holds.',
  tools: [{ tool: 'saw' }, { tool: 'eye-protection' }],
});

const ring = (input: RecipeInput): Step => ({
  id: 'ring',
  name: 'Ring',
  title: 'Clamp ring on the first crest',
  how: 'It snaps into the valley behind the first crest; the seal of the back half lies on clean jacket.',
  byTouch: 'Slide the ring over the first crest until it drops; it turns and does not come off.',
  looksRight: ['ring level all round, one crest before it'],
  feelsRight: ['the ring turns freely and cannot be pulled off'],
  goesWrong: ['on the second crest: the front half bottoms before it clamps'],
  places: placed(input, 'ring'),
});

const foam = ({ small, gauge }: RecipeInput): Step => ({
  id: 'foam',
  name: 'Foam',
  title: 'Flare the tube’s edge, trim the foam flush',
  how: `Press the edge outwards over the ring with the part’s flaring tool or a blunt blade; foam flush with it. ${small(stretch(gauge, 'centre'))} of centre stand out.`,
  byTouch:
    'Run a blunt blade round between foam and tube, leaning outwards; the edge lies on the ring all round.',
  looksRight: ['copper edge lies on the ring, no crack', 'foam flush, no crumb on the copper'],
  feelsRight: ['one smooth edge all round', 'foam level with it'],
  goesWrong: ['a cracked edge: noise and a bad match', 'foam proud: the contact does not go home'],
  caution: 'Blade away from the thumb; the copper edge cuts.',
  tools: [{ tool: 'knife' }],
  gauge: 'centre',
});

const chamfer: Step = {
  id: 'chamfer',
  name: 'Chamfer',
  title: 'Deburr and chamfer the centre, blow everything clean',
  how: 'A short cone all round; a burr ruins the spring contact. Mouth down, brush and blow.',
  byTouch: 'Turn the tool on the end until a fingertip finds no edge; wipe, tap, wipe.',
  looksRight: ['bright cone all round, no copper dust on the foam'],
  feelsRight: ['no edge catches a nail'],
  goesWrong: ['burr left: the contact is scored when it goes on'],
  tools: [{ tool: 'deburrer' }, { tool: 'brush' }],
};

const close = (input: RecipeInput): Step => ({
  id: 'close',
  name: 'Close',
  title: 'Front half on, straight; hold it still and turn the back half',
  how: 'Two spanners, to the torque of the part’s sheet. The front half with the contact never turns.',
  byTouch:
    'One spanner holds the front, the other turns the back until it goes hard; no thread is left to feel.',
  looksRight: ['no gap between the halves', 'seal of the back half on the jacket'],
  feelsRight: ['the line cannot be turned in the connector'],
  goesWrong: ['front half turned: the contact is scored and the centre twisted'],
  places: placed(input, 'body'),
  tools: [{ tool: 'spanners' }],
  irreversible: true,
});
