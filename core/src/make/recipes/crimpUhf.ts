import { isOfSeries } from '../../catalog/index.js';
import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe } from '../recipe.js';
import { shortCheck } from '../steps/check.js';
import { nutDown, shrinkDown } from '../steps/finish.js';
import { crimpFerrule, fastenTip, neckUnder } from '../steps/join.js';

/** UHF plug with a crimp neck: the neck goes under the braid, the conductor through the tip. */
export const crimpUhf: Recipe = {
  id: 'crimp-uhf',
  name: 'UHF plug, crimp neck',
  makes: ({ style, face }) => style === 'crimp' && isOfSeries(face, 'uhf'),
  steps: (input) =>
    generalCard(input, {
      slide: ['nut', 'shrink', 'ferrule'],
      firstCheck: 'Before the body goes on.',
      join: [
        neckUnder(input),
        shortCheck('short2', 'Body on, nothing crimped yet.'),
        crimpFerrule(input),
        fastenTip(input),
      ],
      finish: [
        nutDown(input, {
          goesWrong: ['nut left behind the ferrule the wrong way round: it cannot be saved'],
        }),
        shrinkDown(input),
      ],
    }),
  source: commonPractice,
};
