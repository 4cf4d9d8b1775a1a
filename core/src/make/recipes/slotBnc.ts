import {
  bareCentre,
  continuity,
  dressBraid,
  finalCheck,
  heat,
  jacket,
  partsCheck,
  shortCheck,
  signOff,
  slideOn,
  squareCut,
  tug,
} from '../commonSteps.js';
import type { Recipe } from '../recipe.js';

/** Parts whose conductor is soldered in a slot or window: side entry, and right angle with a cap. */
export const slotBnc: Recipe = {
  id: 'slot',
  name: 'conductor soldered in a slot, ferrule on the braid',
  makes: (part) => part.style === 'side-entry' || part.style === 'right angle',
  tools: ({ part }) => [
    'sharp cutter',
    'jacket knife or strip tool',
    'fine iron and rosin solder',
    `ratchet crimper, ${part.hexMm} mm hex`,
    'ohm-meter',
  ],
  steps: (input) => {
    const capped = input.part.train.some(({ id }) => id === 'cap');
    return [
      partsCheck(input),
      slideOn(input, ['shrink', 'ferrule']),
      squareCut,
      jacket(input),
      dressBraid(input),
      bareCentre(input),
      shortCheck('short1', 'Before the body goes on.'),
      {
        id: 'body',
        name: 'Body',
        title: 'Neck under the braid, conductor into the slot',
        how: 'Every strand in the slot, none beside it. The braid stays outside the neck.',
        looksRight: ['conductor lies in the slot by itself, without being pressed'],
        goesWrong: ['a strand over the edge touches the body', 'conductor short of the slot: cut again'],
      },
      shortCheck('short2', 'Conductor in the slot, not soldered yet.'),
      {
        id: 'solder',
        name: 'Solder',
        title: 'Solder the conductor in its slot',
        how: 'Fine tip, little solder, brief.',
        looksRight: ['solder drawn along the conductor, nothing proud of the slot'],
        goesWrong: ['a blob reaches the body: a short', 'too hot: the insulator of the contact softens'],
        ...heat,
        irreversible: true,
      },
      shortCheck('short3', 'Cold, before the ferrule is crimped.'),
      {
        id: 'crimp',
        name: 'Crimp',
        title: `Ferrule up to the body, crimp with the ${input.part.hexMm} mm die`,
        how: 'A ferrule of two diameters is crimped in two steps, each with its own die.',
        looksRight: ['even hex, ferrule hard against the body'],
        goesWrong: ['wrong die: loose, or the neck is crushed'],
        caution: 'A ratchet tool does not let go until it is closed or its lever is pressed: fingers out.',
        irreversible: true,
      },
      tug,
      finalCheck,
      continuity,
      ...(capped
        ? [
            {
              id: 'cap',
              name: 'Cap',
              title: 'Close the window with its cap',
              how: 'Press or solder it as its sheet says, after the last short check.',
              looksRight: ['cap flush'],
              goesWrong: ['left off: the window lets water and whiskers in'],
            },
          ]
        : []),
      signOff,
    ];
  },
  source: 'common practice, no source; the part’s own sheet wins',
};
