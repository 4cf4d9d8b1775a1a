import type { RecipeInput } from '../recipe.js';
import type { ToolNeed } from '../tools.js';

/** What opens the jacket and bares the centre, the shop's way. */
export const stripper = ({ schools }: Pick<RecipeInput, 'schools'>): ToolNeed => ({
  tool: schools.marking === 'tool' ? 'strip-tool' : 'knife',
});

/** Soldering: the iron, something that holds the work, and something before the eyes. */
export const soldering = (iron: 'fine-iron' | 'heavy-iron'): ToolNeed[] => [
  { tool: iron },
  { tool: 'vice' },
  { tool: 'eye-protection' },
];

/** Dies for centre pins in common use, mm across flats. Common practice, no source. */
const PIN_DIES_MM = [1.7, 2.5, 3.25];
/** A die closes on the pin’s wall, so much above its bore, mm. */
const PIN_WALL_MM = 0.1;

/** The die for a pin of this bore; none for one too thick to be crimped. */
export const pinDieMm = (boreMm: number): number | undefined =>
  PIN_DIES_MM.find((die) => die >= boreMm + PIN_WALL_MM);
