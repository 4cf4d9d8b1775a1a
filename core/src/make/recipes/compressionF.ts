import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { bareCentre, foldBack } from '../steps/prepare.js';
import { pushOnF } from '../steps/fSteps.js';

/** F compression: no centre pin, one piece, closed until it is flush. */
export const compressionF: Recipe = {
  id: 'compression-f',
  name: 'F, compression',
  makes: ({ style }) => style === 'compression',
  steps: (input) =>
    generalCard(input, {
      slide: [],
      prepare: [bareCentre(input), foldBack(input, 'the jacket')],
      firstCheck: 'Before the connector goes on.',
      join: pushOnF(input, 'Compress until the tool stops', { tool: 'compression-tool' }),
      finish: [],
    }),
  source: commonPractice,
};
