import type { RecipeInput, Step } from '../recipe.js';
import type { ToolNeed } from '../tools.js';
import { strippingTools } from './benches.js';
import { shortCheck } from './check.js';
import { crimpFerrule, intoSlot, solderSlot } from './join.js';

/** What parts with a slot or window share. */

export const slotTools = (input: RecipeInput): ToolNeed[] => [
  ...strippingTools(input),
  { tool: 'fine-iron' },
  { tool: 'crimper', hexMm: input.part.hexMm ?? undefined },
  { tool: 'hot-air' },
  { tool: 'meter' },
];

export const slotJoin = (input: RecipeInput, how: string): Step[] => [
  intoSlot(input),
  shortCheck('short2', 'Conductor in the slot, not soldered yet.'),
  solderSlot,
  shortCheck('short3', 'Cold, before the ferrule is crimped.'),
  crimpFerrule(input, { how }),
];
