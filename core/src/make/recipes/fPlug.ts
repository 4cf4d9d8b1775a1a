import {
  bareCentre,
  continuity,
  finalCheck,
  foldBack,
  jacket,
  partsCheck,
  shortCheck,
  signOff,
  slideOn,
  squareCut,
  tug,
} from '../commonSteps.js';
import type { Recipe } from '../recipe.js';

/** F plugs: the cable’s own conductor is the pin; compressed, or crimped with a hex. */
export const fPlug: Recipe = {
  id: 'f-plug',
  name: 'F plug, compression or crimp',
  makes: (part) => part.face.startsWith('f-') && (part.style === 'compression' || part.style === 'crimp'),
  tools: ({ part }) => [
    'sharp cutter',
    'bladed strip tool, 6 and 6 mm',
    part.style === 'compression' ? 'compression tool' : `ratchet crimper, ${part.hexMm} mm hex`,
    'ohm-meter',
  ],
  steps: (input) => [
    partsCheck(input),
    ...(input.part.style === 'crimp'
      ? [slideOn(input, ['shrink', 'ferrule'])]
      : [slideOn(input, ['body'])].map(notYet)),
    squareCut,
    jacket(input),
    bareCentre(input),
    foldBack(input, 'the jacket'),
    shortCheck('short1', 'Before the connector goes on.'),
    {
      id: 'push',
      name: 'Push on',
      title: 'Push the connector on until the dielectric is flush inside it',
      how: 'Its mandrel goes under the braid. Look into the nut: white flush with the bottom.',
      looksRight: [
        'dielectric flush',
        `conductor ${input.small(input.part.proudMm)} beyond the nut, 2 to 5 mm is right`,
      ],
      goesWrong: ['short of flush: water and a bad match', 'mandrel inside the foil: the shield is not held'],
    },
    shortCheck('short2', 'Home, before it is closed.'),
    {
      id: 'close',
      name: 'Close',
      title:
        input.part.style === 'compression'
          ? 'Compress until the tool stops'
          : 'Crimp with the die of the ferrule',
      how: 'The conductor stands free in the tool’s opening.',
      looksRight: ['shell short all round, cable cannot turn'],
      goesWrong: ['bent conductor: it does not enter the jack'],
      caution: 'A ratchet tool does not let go until it is closed or its lever is pressed: fingers out.',
      irreversible: true,
    },
    tug,
    finalCheck,
    continuity,
    signOff,
  ],
  source: 'common practice, no source; the part’s own sheet wins',
};

/** A connector in one piece goes on at the end: here it is only laid ready, the right way round. */
const notYet = (step: ReturnType<typeof slideOn>): ReturnType<typeof slideOn> => ({
  ...step,
  title: 'Lay the connector ready, nut towards the cable’s end',
  how: 'It is one piece and goes on last.',
});
