import { commonPractice, type Recipe } from '../recipe.js';
import { splitCard, splitTools } from '../steps/split.js';
import { placed } from '../steps/words.js';

/** A panel jack, as at a dipole’s centre: conductor into its cup, braid to its tag. */
export const bulkheadJack: Recipe = {
  id: 'bulkhead-jack',
  name: 'bulkhead jack',
  // A corrugated tube has no braid to twist into a tail.
  makes: ({ style }, cable) => cable.shieldKind !== 'tube' && style === 'bulkhead',
  tools: splitTools,
  steps: (input) =>
    splitCard(input, {
      title: 'Centre into the jack’s cup, braid to its tag; solder both',
      places: placed(input, 'body'),
    }),
  source: commonPractice,
};
