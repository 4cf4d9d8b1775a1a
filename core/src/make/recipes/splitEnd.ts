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

/** The cable split in two: to a bulkhead jack, or as tails to the legs of a dipole. */
export const splitEnd: Recipe = {
  id: 'split-end',
  name: 'split end: bulkhead jack or direct pigtail',
  makes: (part) => part.style === 'bulkhead' || part.style === 'pigtail',
  tools: () => [
    'sharp cutter',
    'jacket knife',
    'blunt pick',
    'iron and rosin solder, never acid flux',
    'hot-air gun',
    'ohm-meter',
  ],
  steps: (input) => [
    partsCheck(input),
    slideOn(input, ['shrink']),
    squareCut,
    jacket(input),
    dressBraid(input),
    bareCentre(input),
    {
      id: 'split',
      name: 'Split',
      title: 'Draw the cable out through a hole picked in the braid; twist the braid to a tail',
      how: 'Part the strands near the jacket, do not cut any. Tin the ends of both tails.',
      looksRight: ['braid whole in one tail', 'dielectric unmarked where it comes out'],
      goesWrong: ['cut strands: the tail breaks in the wind'],
    },
    shortCheck('short1', 'Both tails free.'),
    {
      id: 'solder',
      name: 'Solder',
      title:
        input.part.style === 'bulkhead'
          ? 'Centre into the jack’s cup, braid to its tag; solder both'
          : 'Centre to one leg, braid to the other; solder or lug both',
      how: 'Rosin only: acid flux eats the copper from within. Strain on the jacket, not on the tails.',
      looksRight: ['bright, drawn in, no spike'],
      goesWrong: ['the weight hangs on the solder: it cracks'],
      ...heat,
      irreversible: true,
    },
    tug,
    finalCheck,
    continuity,
    {
      id: 'seal',
      name: 'Seal',
      title: 'Adhesive shrink over the split while it is still dry, end cap of sealant on the braid',
      how: 'Water creeps down the braid from here first. A choke goes below a dipole’s centre.',
      looksRight: ['adhesive seen all round at both ends'],
      goesWrong: ['plain shrink: it is no seal'],
      caution: 'Hot air burns; keep it moving and off the dielectric.',
      timerS: 20,
    },
    signOff,
  ],
  source: 'common practice, no source; the part’s own sheet wins',
};
