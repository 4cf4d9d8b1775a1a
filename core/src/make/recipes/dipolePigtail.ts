import { commonPractice, type Recipe } from '../recipe.js';
import { splitCard } from '../steps/split.js';
import { placed } from '../steps/words.js';

/** No connector: the cable’s own tails go to the legs of a dipole. */
export const dipolePigtail: Recipe = {
  id: 'dipole-pigtail',
  name: 'direct pigtail at a dipole’s centre',
  // A corrugated tube has no braid to twist into a tail.
  makes: ({ style }, cable) => cable.shieldKind !== 'tube' && style === 'pigtail',
  steps: (input) =>
    splitCard(input, {
      title: 'Centre to one leg, braid to the other; solder or lug both',
      places: placed(input, 'lugs'),
    }),
  source: commonPractice,
};
