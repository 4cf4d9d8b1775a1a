import type { bondMethods } from '../document/ground.js';

/** A good bond from node to node, ohm: a two-wire meter reads its own leads too. Handbook of the trade, from memory. */
export const MAX_BOND_OHM: Record<(typeof bondMethods)[number], number> = {
  'four-wire': 0.1,
  'two-wire': 0.5,
};
