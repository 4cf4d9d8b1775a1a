import { isOfSeries } from '../../catalog/index.js';
import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { shrinkDown } from '../steps/finish.js';
import { bareCentre, foldBack } from '../steps/prepare.js';
import { pushOnF } from '../steps/fSteps.js';

/** F plug or jack closed by a hex: the cable’s own conductor is the pin. */
export const crimpF: Recipe = {
  id: 'crimp-f',
  name: 'F, crimp',
  makes: ({ style, face }) => style === 'crimp' && isOfSeries(face, 'f'),
  steps: (input) =>
    generalCard(input, {
      slide: ['shrink', 'ferrule'],
      prepare: [bareCentre(input), foldBack(input, 'the jacket')],
      firstCheck: 'Before the connector goes on.',
      join: pushOnF(input, 'Crimp with the die of the ferrule', {
        tool: 'crimper',
        hexMm: input.part.hexMm ?? undefined,
      }),
      finish: [shrinkDown(input)],
    }),
  source: commonPractice,
};
