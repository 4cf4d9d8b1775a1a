import {
  continuity,
  finalCheck,
  finishNut,
  partsCheck,
  shortCheck,
  signOff,
  slideOn,
  squareCut,
  tug,
} from '../commonSteps.js';
import type { Recipe } from '../recipe.js';

/** UHF plug whose teeth go through the jacket: nothing is stripped. */
export const piercingUhf: Recipe = {
  id: 'piercing-uhf',
  name: 'UHF plug, piercing',
  makes: (part) => part.style === 'piercing',
  tools: () => ['sharp cutter', 'the part’s own crimper or wide pliers', 'ohm-meter'],
  steps: (input) => [
    partsCheck(input),
    slideOn(input, ['nut']),
    {
      ...squareCut,
      goesWrong: [
        'a slanted cut: the spike misses the strands',
        'a strand of braid over the cut shorts to the centre',
      ],
    },
    shortCheck('short1', 'The bare cut, before the connector.'),
    {
      id: 'push',
      name: 'Push home',
      title: 'Push the cable into the connector until it stops',
      how: 'Straight, without turning. The spike enters the middle of the strands.',
      looksRight: ['jacket against the stop', 'cable cannot be pushed further'],
      goesWrong: ['bent spike: it comes out beside the strands and touches the braid'],
    },
    shortCheck('short2', 'Pushed home, teeth still open.'),
    {
      id: 'crimp',
      name: 'Crimp',
      title: 'Press the teeth through the jacket',
      how: 'All the way, on both sides if the part has two rows.',
      looksRight: ['teeth flush with the shell'],
      goesWrong: ['pressed too deep: the braid is pushed into the dielectric'],
      caution: 'A ratchet tool does not let go until it is closed or its lever is pressed: fingers out.',
      irreversible: true,
    },
    tug,
    finalCheck,
    continuity,
    finishNut,
    signOff,
  ],
  source: 'common practice, no source; the part’s own sheet wins',
};
