import {
  bareCentre,
  continuity,
  dressBraid,
  finalCheck,
  heat,
  jacket,
  partsCheck,
  shortCheck,
  signOff,
  slideOn,
  squareCut,
  stretch,
  tug,
} from '../commonSteps.js';
import type { Recipe, RecipeInput, Step } from '../recipe.js';

/** N and UHF gland parts: washer and rubber squeezed by a back nut, the braid trapped under a top-hat. */
export const gland: Recipe = {
  id: 'gland',
  name: 'gland, clamped by a back nut',
  // A corrugated tube has no braid to fold: its part’s own sheet says how it is flared.
  makes: (part, cable) => part.style === 'gland' && cable.shieldKind !== 'tube',
  tools: () => [
    'sharp cutter',
    'jacket knife',
    'soft stiff brush',
    'fine scissors',
    'iron and rosin solder',
    'two spanners',
    'ohm-meter',
  ],
  steps: (input) => [
    partsCheck(input),
    slideOn(input, ['backnut', 'washer', 'gland']),
    squareCut,
    jacket(input),
    dressBraid(input),
    hat(input),
    bareCentre(input),
    shortCheck('short1', 'Hat on, before anything is soldered.'),
    isUhf(input) ? tip : pin(input),
    shortCheck('short2', 'Cold again: before the body closes over it.'),
    {
      id: 'body',
      name: 'Body',
      title: 'Push the body on, screw the back nut in',
      how: 'Hold the body still with one spanner and turn the back nut with the other until the rubber is squeezed.',
      looksRight: ['rubber swells and grips the jacket', 'no thread of the back nut shows'],
      goesWrong: [
        'body turned instead of the nut: the centre is twisted off',
        'washer behind the gland: the nut tears the rubber',
      ],
    },
    tug,
    finalCheck,
    continuity,
    signOff,
  ],
  source: 'common practice, no source; the part’s own sheet wins',
};

const isUhf = ({ part }: RecipeInput): boolean => part.face.startsWith('uhf');

const hat = ({ gauge, small }: RecipeInput): Step => ({
  id: 'hat',
  name: 'Top-hat',
  title: 'Slide the top-hat between braid and dielectric',
  how: `Fold the ${small(stretch(gauge, 'braid'))} of braid over it and trim to the rim. Cut foil flush with the hat.`,
  looksRight: ['braid even all round, none beyond the rim'],
  goesWrong: ['hat over the braid: the shield is not clamped', 'whiskers past the rim short to the centre'],
});

const heatDone = { ...heat, irreversible: true };

const pin = ({ gauge }: RecipeInput): Step => ({
  id: 'pin',
  name: 'Pin',
  title: 'Rear insulator on, pin home, solder it through its hole',
  how: `Take the pin with the ${gauge.fit.pin.boreMm.toFixed(2)} mm bore. Wick the solder in; front insulator on when cold, recesses facing the pin’s collar.`,
  looksRight: ['conductor seen through the hole before soldering', 'no solder outside the pin'],
  goesWrong: [
    'wrong pin of the two in the bag: loose or will not go on',
    'too hot: the dielectric swells and the pin leans',
  ],
  ...heatDone,
});

const tip: Step = {
  id: 'tip',
  name: 'Tip',
  title: 'Body on by hand, conductor through the tip, solder it',
  how: 'Hot and brief, from inside the tip. Trim flush when cold; fill the tip with sealant outdoors.',
  looksRight: ['solder drawn in, none outside the pin'],
  goesWrong: ['solder outside: the plug will not enter the jack'],
  ...heatDone,
};
