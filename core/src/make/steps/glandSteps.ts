import type { RecipeInput, Step } from '../recipe.js';
import { pinOn, solderTip } from './join.js';
import { shortCheck } from './check.js';
import { placed, stretch } from './words.js';

/** Steps of parts clamped by washer, rubber and back nut. */

/** What slides on first: washer before the gland, else the nut tears the rubber. */
export const glandStack = ['backnut', 'washer', 'gland'];

/** Where foil and dielectric end, seen from the rim of the hat: the same figure as in the gauge. */
const foilAndDielectric = ({ gauge, small }: RecipeInput): string => {
  const beyondMm = stretch(gauge, 'dielectric');
  return beyondMm === 0
    ? 'Foil and dielectric end flush with the rim.'
    : `Foil ends at the rim, ${small(beyondMm)} of dielectric stand beyond it.`;
};

export const topHat = (input: RecipeInput): Step => ({
  id: 'hat',
  name: 'Top-hat',
  title: 'Slide the clamp sleeve (top-hat) between braid and dielectric',
  how: `Between braid and foil or dielectric. Fold the ${input.small(stretch(input.gauge, 'braid'))} of braid over it and trim to the rim. ${foilAndDielectric(input)}`,
  byTouch:
    'Thin end first under the braid until the rim stops; stroke the braid over it and cut what reaches past the rim.',
  looksRight: ['braid even all round, none beyond the rim'],
  feelsRight: ['the rim is bare metal all round, no strand pricks past it'],
  goesWrong: ['hat over the braid: the shield is not clamped', 'whiskers past the rim short to the centre'],
  places: placed(input, 'hat'),
});

/** Rear insulator, pin and front insulator of a gland part. */
export const glandPin = (input: RecipeInput): Step[] => [
  {
    id: 'rear',
    name: 'Rear insulator',
    title: 'Rear insulator on, its recess towards the pin',
    how: `Its flat side lies on the hat’s rim and the end of the dielectric${input.part.rearMm === undefined ? '' : ` and takes ${input.small(input.part.rearMm)} of the conductor`}. The two insulators face each other with their recess on the pin’s collar.`,
    byTouch: 'One side of the insulator is flat, one has a hollow: flat side against the hat.',
    looksRight: ['flat side against the hat'],
    feelsRight: ['the hollow faces the cable’s end'],
    goesWrong: ['back to front: the pin stands too far forward'],
    places: placed(input, 'rear'),
  },
  { ...pinOn(input, 'solder'), irreversible: true },
  {
    id: 'front',
    name: 'Front insulator',
    title: 'Front insulator on when the pin is cold, its recess on the pin’s collar',
    how: 'Both recesses close over the collar. A warm pin softens the insulator.',
    byTouch: 'Hollow side towards the cable; it drops over the pin and closes on the collar.',
    looksRight: ['no gap between the two insulators'],
    feelsRight: ['insulators closed, the collar no longer to be felt'],
    goesWrong: ['left in the bag: the pin has no guide and leans'],
    places: placed(input, 'front'),
  },
];

/** The back nut squeezes the rubber: the body stands still, the nut turns. */
export const closeGland = (input: RecipeInput, own: Partial<Step> = {}): Step => ({
  id: 'close',
  name: 'Close',
  title: 'Push the shell on, screw the back nut in',
  how: 'Hold the shell still with one spanner and turn the back nut with the other until the rubber is squeezed.',
  byTouch:
    'One spanner holds the shell, the other turns the nut until it goes suddenly hard; the rubber bulges under a fingertip.',
  looksRight: ['rubber swells and grips the jacket', 'no thread of the back nut shows'],
  feelsRight: ['the cable no longer turns in the nut'],
  goesWrong: [
    'shell turned instead of the nut: the centre is twisted off',
    'washer behind the gland: the nut tears the rubber',
  ],
  places: placed(input, 'body'),
  tools: [{ tool: 'spanners' }],
  ...own,
});

/** Gland parts with a captive pin: hat, insulators, pin, shell. */
export const pinnedGland = (input: RecipeInput, close: Partial<Step> = {}): Step[] => [
  ...glandPin(input),
  shortCheck('short2', 'Cold again: before the shell closes over it.'),
  closeGland(input, close),
];

/** A UHF gland part: the conductor goes through the tip of the body. */
export const tippedGland = (input: RecipeInput): Step[] => [
  closeGland(input, {
    title: 'Body on, conductor through the tip; screw the back nut in',
    how: 'Hold the body still with one spanner and turn the back nut with the other until the rubber is squeezed.',
  }),
  shortCheck('short2', 'Clamped, tip not soldered yet.'),
  {
    ...solderTip,
    how: `${solderTip.how}${input.exposed ? ' This end is outdoors: do fill it.' : ''}`,
  },
];
