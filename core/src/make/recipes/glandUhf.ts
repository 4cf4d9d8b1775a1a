import { isOfSeries } from '../../catalog/index.js';
import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { glandStack, tippedGland, topHat } from '../steps/glandSteps.js';
import { bareCentre, dressBraid } from '../steps/prepare.js';

/** UHF gland part: clamped first, the tip soldered last and filled outdoors. */
export const glandUhf: Recipe = {
  id: 'gland-uhf',
  name: 'UHF plug, gland',
  makes: ({ style, face }) => style === 'gland' && isOfSeries(face, 'uhf'),
  steps: (input) =>
    generalCard(input, {
      slide: glandStack,
      prepare: [dressBraid(input), topHat(input), bareCentre(input)],
      firstCheck: 'Hat on, before anything is fastened.',
      join: tippedGland(input),
      finish: [],
    }),
  source: commonPractice,
};
