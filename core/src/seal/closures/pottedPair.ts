import { figure, formatMillilitres } from '../../quantity/index.js';
import { lengthOf, volumeOf, widestOf, type Closure } from './closure.js';

/** Compound lies so thick all round the split, and so far down the jacket, m. Common practice, no source. */
const ROUND_M = 0.008;
const DOWN_M = 0.03;
const WASTE = 1.1;

/** A cable split into two tails is no cylinder: half laps leave its crotch open. Handbook of the trade, 6. */
export const pottedPair: Closure = {
  id: 'potted pair',
  name: 'potted split',
  plan: (profile) => {
    const [boreM, deepM] = [widestOf(profile) + 2 * ROUND_M, lengthOf(profile) + DOWN_M];
    const compound = ((Math.PI / 4) * boreM ** 2 * deepM - volumeOf(profile)) * WASTE;
    return {
      materials: [
        {
          id: 'potting-compound',
          name: 'potting compound with its cup',
          kind: 'splice kit',
          unit: 'piece',
          amount: figure(1, 'count', 'one for the split'),
        },
      ],
      minutes: figure(25, 'minute', 'common practice, no source', 10),
      lowestC: 5,
      joined: 'Both tails are clamped or soldered to their halves; pull each once.',
      steps: [
        {
          title: 'Fill the crotch',
          text: `Fill the crotch between the two tails with sealant, or pot the whole split in a cup of ${Math.ceil(boreM * 1000)} mm with ${formatMillilitres(compound)} of resin, until no strand of the braid shows.`,
          caution: 'Resin: gloves and eye protection, out in the open air; it gets hot while it sets.',
        },
        {
          title: 'Rubber over crotch and jacket',
          text: 'Fuse rubber tape over crotch and jacket, 50 mm down the cable; then a UV layer.',
        },
        {
          title: 'Lead it down',
          text: 'Let the cable leave downwards, so that water drips off and does not run along the braid.',
        },
      ],
    };
  },
};
