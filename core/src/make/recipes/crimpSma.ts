import { commonPractice, type Recipe } from '../recipe.js';
import { captivePinCard, isSmall } from '../steps/captivePin.js';

/** As the BNC crimp, smaller: everything is done under a lens or by the tip of a nail. */
export const crimpSma: Recipe = {
  id: 'crimp-sma',
  name: 'SMA, FME or other small plug, crimp with captive pin',
  makes: ({ style, face, train }) =>
    style === 'crimp' && train.some(({ id }) => id === 'pin') && isSmall(face),
  steps: captivePinCard,
  source: commonPractice,
};
