import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { bareCentre, dressBraid } from '../steps/prepare.js';
import { sealSplit, solderTails, split, splitTools } from '../steps/split.js';
import { placed } from '../steps/words.js';

/** No connector: the cable’s own tails go to the legs of a dipole. */
export const dipolePigtail: Recipe = {
  id: 'dipole-pigtail',
  name: 'direct pigtail at a dipole’s centre',
  // A corrugated tube has no braid to twist into a tail.
  makes: ({ style }, cable) => cable.shieldKind !== 'tube' && style === 'pigtail',
  tools: splitTools,
  steps: (input) =>
    generalCard(input, {
      slide: ['shrink'],
      prepare: [dressBraid(input), bareCentre(input), split],
      firstCheck: 'Both tails free.',
      join: [
        solderTails({
          title: 'Centre to one leg, braid to the other; solder or lug both',
          places: placed(input, 'lugs'),
        }),
      ],
      finish: [sealSplit(input)],
    }),
  source: commonPractice,
};
