import type { Recipe } from '../recipe.js';
import { crimpPin } from './crimpPin.js';
import { crimpUhf } from './crimpUhf.js';
import { fPlug } from './fPlug.js';
import { gland } from './gland.js';
import { piercingUhf } from './piercingUhf.js';
import { rcaPlug } from './rcaPlug.js';
import { reducerUhf } from './reducerUhf.js';
import { screwOnUhf } from './screwOnUhf.js';
import { slotBnc } from './slotBnc.js';
import { solderUhf } from './solderUhf.js';
import { splitEnd } from './splitEnd.js';
import { washersUhf } from './washersUhf.js';

/** Every recipe; adding one touches this list and its own file only. */
export const recipes: Recipe[] = [
  crimpUhf,
  crimpPin,
  gland,
  solderUhf,
  screwOnUhf,
  reducerUhf,
  washersUhf,
  piercingUhf,
  fPlug,
  slotBnc,
  rcaPlug,
  splitEnd,
];
