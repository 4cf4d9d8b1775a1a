import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { captivePinJoin, captivePinTools, isSmall } from '../steps/captivePin.js';
import { shrinkDown } from '../steps/finish.js';

/** BNC, TNC, N and like crimp parts: a loose centre pin clicks into the body, a ferrule crimps the braid on the neck. */
export const crimpBnc: Recipe = {
  id: 'crimp-bnc',
  name: 'BNC, TNC or N, crimp with captive pin',
  makes: ({ style, face, train }) =>
    style === 'crimp' && train.some(({ id }) => id === 'pin') && !isSmall(face),
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
