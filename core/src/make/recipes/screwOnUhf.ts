import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe, type RecipeInput, type Step } from '../recipe.js';
import { shortCheck } from '../steps/check.js';
import { nutDown } from '../steps/finish.js';
import { soldering } from '../steps/benches.js';
import { solderTip } from '../steps/join.js';
import { bareCentre, foldBack } from '../steps/prepare.js';
import { placed } from '../steps/words.js';

/** UHF plug whose body is screwed over the braid folded back: quick, no iron on the shield; it must not turn afterwards. */
export const screwOnUhf: Recipe = {
  id: 'screw-on-uhf',
  name: 'UHF plug, screwed over the braid folded back',
  makes: ({ style }) => style === 'screw-on',
  steps: (input) =>
    generalCard(input, {
      slide: ['nut'],
      prepare: [foldBack(input, 'the jacket'), bareCentre(input), tinCentre],
      firstCheck: 'Before the body goes on.',
      join: [body(input), shortCheck('short2', 'Body home, tip not soldered yet.'), solderTip, whiskers],
      finish: [nutDown(input)],
    }),
  source: commonPractice,
};

const tinCentre: Step = {
  id: 'tin',
  name: 'Tin centre',
  title: 'Tin the centre, thinly, and let it cool',
  how: 'A skin only: it must pass through the tip. It keeps the strands together on the way.',
  byTouch: 'A touch of solder while the iron lies along the wire; when cold it is one stiff smooth wire.',
  looksRight: ['strands one wire, no thicker than before'],
  feelsRight: ['one stiff smooth wire'],
  goesWrong: ['a blob: the conductor does not pass the tip'],
  caution: 'The iron burns. Ventilate, and keep your face out of the smoke.',
  timerS: 2,
  tools: soldering('fine-iron'),
};

const body = (input: RecipeInput): Step => ({
  id: 'body',
  name: 'Body',
  title: 'Screw the body down over the braid until the conductor shows at the tip',
  how: 'Start it straight by hand, finish with pliers. It cuts its thread into braid and jacket. Hard before it is home: a conductor is trapped; look down the pin.',
  byTouch: 'Start it by hand, the cable in line with the palm; turn until the conductor pricks at the tip.',
  looksRight: [
    'body straight, braid just seen behind it',
    `conductor ${input.small(input.part.proudMm)} out of the tip, before it is soldered`,
  ],
  feelsRight: ['turning gets steadily harder', 'conductor felt at the tip'],
  goesWrong: [
    'foil under the braid wrinkles and may touch the centre',
    'turned back once: it holds less the second time',
  ],
  places: placed(input, 'body'),
  tools: [{ tool: 'pliers' }],
});

const whiskers: Step = {
  id: 'whiskers',
  name: 'Whiskers',
  title: 'Trim the braid’s whiskers behind the body, a turn or two of tape over them',
  how: 'Tape or thin shrink keeps the body from turning and breaking the centre.',
  byTouch: 'Cut what pricks behind the body; a turn or two of tape, half on body, half on jacket.',
  looksRight: ['no strand stands out', 'the nut still passes over it'],
  feelsRight: ['nothing pricks', 'the nut still passes over it'],
  goesWrong: ['left as it is: the body turns when the nut is tightened and twists the centre off'],
};
