import {
  bareCentre,
  continuity,
  dressBraid,
  finalCheck,
  finishNut,
  jacket,
  partsCheck,
  shortCheck,
  signOff,
  slideOn,
  solderTip,
  squareCut,
  tug,
} from '../commonSteps.js';
import type { Recipe } from '../recipe.js';

/** Solder-less on the shield: the braid is fanned over the reducer and pressed by washer and spacer. */
export const washersUhf: Recipe = {
  id: 'washers-uhf',
  name: 'UHF plug, washer and spacer',
  makes: (part) => part.style === 'washers',
  tools: () => [
    'sharp cutter',
    'jacket knife',
    'soft stiff brush',
    'two spanners or pliers',
    'iron and rosin solder',
    'ohm-meter',
  ],
  steps: (input) => [
    partsCheck(input),
    slideOn(input, ['relief', 'reducer', 'nut']),
    squareCut,
    jacket(input),
    dressBraid(input),
    bareCentre(input),
    {
      id: 'fan',
      name: 'Fan',
      title: 'Fan the braid out flat over the face of the reducer',
      how: 'Like a daisy, every strand outwards; then washer, then spacer over the dielectric.',
      looksRight: ['flat and even under the washer', 'no strand inside the washer’s hole'],
      goesWrong: [
        'washer under the braid: the shield is not pressed',
        'a strand turned inwards shorts to the centre',
      ],
      confirm: input.part.train
        .filter(({ id }) => id === 'washer' || id === 'spacer')
        .map(({ id, name, direction }) => ({ id, name, ...(direction ? { direction } : {}) })),
    },
    shortCheck('short1', 'Washer and spacer on, body still off.'),
    {
      id: 'body',
      name: 'Body',
      title: 'Body over the conductor, screw it on the reducer hard',
      how: 'Two tools. The pressure is the joint: what is loose now is loose for ever.',
      looksRight: ['no gap between body and reducer', 'conductor through the tip'],
      goesWrong: ['turned with the cable: the braid winds up'],
    },
    shortCheck('short2', 'Screwed home, tip not soldered yet.'),
    solderTip,
    tug,
    finalCheck,
    continuity,
    finishNut,
    signOff,
  ],
  source: 'common practice, no source; the part’s own sheet wins',
};
