import type { RecipeInput } from '../recipe.js';
import type { ToolNeed } from '../tools.js';

/** Tools which families share. */

/** For a stripped end, by the shop's own way of marking and unbraiding. */
export function strippingTools({ schools }: RecipeInput): ToolNeed[] {
  return [
    { tool: 'cutter' },
    ...(schools.marking === 'ruler' ? [{ tool: 'ruler' as const }] : []),
    { tool: schools.marking === 'tool' ? 'strip-tool' : 'knife' },
    { tool: schools.unbraiding === 'pick' ? 'pick' : 'brush' },
    { tool: 'scissors' },
  ];
}

/** For the centre contact, by the shop's school. */
export function centreTools({ schools: { centreSchool } }: RecipeInput): ToolNeed[] {
  return [
    ...(centreSchool === 'solder' ? [] : [{ tool: 'pin-crimper' as const }]),
    ...(centreSchool === 'crimp' ? [] : [{ tool: 'fine-iron' as const }]),
  ];
}
