import { faceOf, type FaceCode, type SeriesId } from '../../catalog/index.js';
import { generalCard } from '../generalCard.js';
import type { RecipeInput, Step } from '../recipe.js';
import { dieText } from '../tools.js';
import { shortCheck } from './check.js';
import { shrinkDown } from './finish.js';
import { clickIn, crimpFerrule, pinOn } from './join.js';

/** What crimp parts with a captive pin share. */

const small = new Set<SeriesId>(['sma', 'fme', 'smb', 'smc', 'mcx', 'mmcx']);

/** Series whose pins and ferrules want a lens. */
export const isSmall = (face: FaceCode): boolean => small.has(faceOf(face).series);

/** The whole card of a crimp part with a captive pin. */
export const captivePinCard = (input: RecipeInput): Step[] =>
  generalCard(input, {
    slide: ['shrink', 'ferrule'],
    firstCheck: 'Before the pin goes on.',
    join: join(input),
    finish: [shrinkDown(input)],
  });

const join = (input: RecipeInput): Step[] => [
  pinOn(input),
  shortCheck('short2', 'Pin on, before it goes into the body: past the click there is no going back.'),
  clickIn(input),
  crimpFerrule(input, {
    title: `Trim the braid to the neck, ferrule up, crimp with the ${dieText(input.part.hexMm ?? 0)} die`,
    how: 'Ferrule hard against the body. Close the tool until it lets go.',
    looksRight: ['even hex, no braid showing'],
    goesWrong: ['wrong die: it slips off in a tug, or crushes the dielectric'],
  }),
];
