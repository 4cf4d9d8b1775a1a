import type { RecipeInput, Step } from '../recipe.js';
import { shortCheck } from './check.js';
import { crimpFerrule, ferruleDies, intoSlot, solderSlot } from './join.js';

/** What parts with a slot or window share. */

export const slotJoin = (input: RecipeInput, how: string): Step[] => [
  intoSlot(input),
  shortCheck('short2', 'Conductor in the slot, not soldered yet.'),
  solderSlot,
  shortCheck('short3', 'Cold, before the ferrule is crimped.'),
  crimpFerrule(input, { how, tools: ferruleDies(input) }),
];
