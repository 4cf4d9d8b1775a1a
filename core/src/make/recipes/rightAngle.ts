import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { capOn, shrinkDown } from '../steps/finish.js';
import { slotJoin } from '../steps/slot.js';

/** Right-angle part: the conductor is soldered in a window, which a cap closes last. */
export const rightAngle: Recipe = {
  id: 'right-angle',
  name: 'right angle, capped',
  makes: ({ style }) => style === 'right angle',
  steps: (input) =>
    generalCard(input, {
      slide: ['shrink', 'ferrule'],
      firstCheck: 'Before the body goes on.',
      join: slotJoin(input, 'Ferrule hard against the body. Close the tool until it lets go.'),
      finish: [capOn(input), shrinkDown(input)],
    }),
  source: commonPractice,
};
