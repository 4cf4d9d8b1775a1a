import type { Recipe } from '../recipe.js';
import { crimpPin } from './crimpPin.js';
import { crimpUhf } from './crimpUhf.js';
import { gland } from './gland.js';

/** Every recipe; adding one touches this list and its own file only. */
export const recipes: Recipe[] = [crimpUhf, crimpPin, gland];
