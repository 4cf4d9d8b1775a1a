import { commonPractice, type Recipe } from '../recipe.js';
import { splitCard } from '../steps/split.js';
import { placed } from '../steps/words.js';

/** A panel jack, as at a dipole’s centre: conductor into its cup, braid to its tag. */
export const bulkheadJack: Recipe = {
  id: 'bulkhead-jack',
  name: 'bulkhead jack',
  makes: ({ style }) => style === 'bulkhead',
  steps: (input) =>
    splitCard(input, {
      title: 'Centre into the jack’s cup, braid to its tag; solder both',
      places: placed(input, 'body'),
    }),
  source: commonPractice,
};
