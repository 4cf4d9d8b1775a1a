import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { shrinkDown } from '../steps/finish.js';
import { dieText } from '../tools.js';
import { ferruleDies } from '../steps/join.js';
import { slotJoin } from '../steps/slot.js';

/** Side-entry part for thin cable: the conductor lies in a slot; a ferrule of two diameters is crimped in two steps. */
export const slotBnc: Recipe = {
  id: 'slot-bnc',
  name: 'BNC, side-entry slot',
  makes: ({ style }) => style === 'side-entry',
  steps: (input) =>
    generalCard(input, {
      slide: ['shrink', 'ferrule'],
      firstCheck: 'Before the body goes on.',
      join: slotJoin(
        input,
        `A ferrule of two diameters is crimped in two steps: ${ferruleDies(input)
          .map(({ hexMm = 0 }) => dieText(hexMm))
          .join(', then ')}.`,
      ),
      finish: [shrinkDown(input)],
    }),
  source: commonPractice,
};
