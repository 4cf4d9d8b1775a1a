import { commonPractice, type Recipe } from '../recipe.js';
import { captivePinCard, isSmall } from '../steps/captivePin.js';

/** BNC, TNC, N and like crimp parts: a loose centre pin clicks into the body, a ferrule crimps the braid on the neck. */
export const crimpBnc: Recipe = {
  id: 'crimp-bnc',
  name: 'BNC, TNC or N, crimp with captive pin',
  makes: ({ style, face, train }) =>
    style === 'crimp' && train.some(({ id }) => id === 'pin') && !isSmall(face),
  steps: captivePinCard,
  source: commonPractice,
};
