import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { glandStack, pinnedGland, topHat } from '../steps/glandSteps.js';
import { bareCentre, dressBraid } from '../steps/prepare.js';

/** N gland part and its larger kin: hat, two insulators with the pin between them, shell. */
export const glandN: Recipe = {
  id: 'gland-n',
  name: 'N, 7-16 or 4.3-10, gland, captive pin',
  makes: ({ style, face }) => style === 'gland' && /^(n|7-16|43-10)/.test(face),
  steps: (input) =>
    generalCard(input, {
      slide: glandStack,
      prepare: [dressBraid(input), topHat(input), bareCentre(input)],
      firstCheck: 'Hat on, before anything is fastened.',
      join: pinnedGland(input),
      finish: [],
    }),
  source: commonPractice,
};
