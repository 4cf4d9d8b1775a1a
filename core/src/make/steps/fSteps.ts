import type { RecipeInput, Step } from '../recipe.js';
import type { ToolNeed } from '../tools.js';
import { shortCheck } from './check.js';
import { placed, ratchetCaution } from './words.js';

/** What both kinds of F termination share. */

/** Mandrel under the braid, dielectric flush; then closed. */
export const pushOnF = (input: RecipeInput, closing: string, tool: ToolNeed): Step[] => [
  {
    id: 'push',
    name: 'Push on',
    title: 'Push the connector on until the dielectric is flush inside it',
    how: 'Its mandrel goes under the braid. Look into the nut: white flush with the bottom.',
    byTouch:
      'Nut towards the cable’s end; push and turn until it stops. A fingertip in the nut finds one flat floor with the wire standing in it.',
    looksRight: [
      'dielectric flush',
      `conductor ${input.small(input.part.proudMm)} beyond the nut, 2 to 5 mm is right`,
    ],
    feelsRight: ['a flat floor in the nut', 'the wire stands a little beyond the rim'],
    goesWrong: ['short of flush: water and a bad match', 'mandrel inside the foil: the shield is not held'],
    places: placed(input, 'body'),
  },
  shortCheck('short2', 'Home, before it is closed.'),
  {
    id: 'close',
    name: 'Close',
    title: closing,
    how: 'The conductor stands free in the tool’s opening.',
    byTouch: 'Feel that the wire stands in the tool’s hole, then squeeze until it stops.',
    looksRight: ['shell short all round, cable cannot turn'],
    feelsRight: ['the shell has no ring left to slide', 'the cable cannot be turned'],
    goesWrong: ['bent conductor: it does not enter the jack'],
    caution: ratchetCaution,
    tools: [tool],
    irreversible: true,
  },
];
