import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { captivePinJoin, captivePinTools, isSmall } from '../steps/captivePin.js';
import { shrinkDown } from '../steps/finish.js';

/** As the BNC crimp, smaller: everything is done under a lens or by the tip of a nail. */
export const crimpSma: Recipe = {
  id: 'crimp-sma',
  name: 'SMA or FME, crimp with captive pin',
  makes: ({ style, face, train }) =>
    style === 'crimp' && train.some(({ id }) => id === 'pin') && isSmall(face),
  tools: captivePinTools,
  steps: (input) =>
    generalCard(input, {
      slide: ['shrink', 'ferrule'],
      firstCheck: 'Before the pin goes on.',
      join: captivePinJoin(input),
      finish: [shrinkDown(input)],
    }),
  source: commonPractice,
};
