import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { shrinkDown } from '../steps/finish.js';
import { slotJoin, slotTools } from '../steps/slot.js';

/** Side-entry part for thin cable: the conductor lies in a slot; a ferrule of two diameters is crimped in two steps. */
export const slotBnc: Recipe = {
  id: 'slot-bnc',
  name: 'BNC, side-entry slot',
  makes: ({ style }) => style === 'side-entry',
  tools: slotTools,
  steps: (input) =>
    generalCard(input, {
      slide: ['shrink', 'ferrule'],
      firstCheck: 'Before the body goes on.',
      join: slotJoin(input, 'A ferrule of two diameters is crimped in two steps, each with its own die.'),
      finish: [shrinkDown(input)],
    }),
  source: commonPractice,
};
