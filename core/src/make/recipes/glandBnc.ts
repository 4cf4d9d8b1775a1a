import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { glandStack, pinnedGland, topHat } from '../steps/glandSteps.js';
import { bareCentre, dressBraid } from '../steps/prepare.js';

/** As the N gland, smaller: light spanners, and the pin is easily driven too deep. */
export const glandBnc: Recipe = {
  id: 'gland-bnc',
  name: 'BNC or TNC, gland, captive pin',
  makes: ({ style, face }) => style === 'gland' && /^(rp-)?(bnc|tnc)/.test(face),
  steps: (input) =>
    generalCard(input, {
      slide: glandStack,
      prepare: [dressBraid(input), topHat(input), bareCentre(input)],
      firstCheck: 'Hat on, before anything is fastened.',
      join: pinnedGland(input, {
        how: 'Light spanners: hold the body, turn the nut until the rubber is squeezed. Look from the front: pin level with the insulator.',
      }),
      finish: [],
    }),
  source: commonPractice,
};
