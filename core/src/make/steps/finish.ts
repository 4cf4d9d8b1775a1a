import type { RecipeInput, Step } from '../recipe.js';
import { hasPart, placed } from './words.js';

/** What is done after the end has proved itself: nut, shrink, cap, label. */

/** The coupling nut over the finished body, label on. */
export const nutDown = (input: RecipeInput, own: Partial<Step> = {}): Step =>
  hasPart(input, 'nut') ? looseNut(own) : captiveNut;

const captiveNut: Step = {
  id: 'finish',
  name: 'Finish',
  title: 'Nut turns freely, label on',
  how: 'It sits captive on the body: turn it once round.',
  byTouch: 'Turn the nut once round with one finger.',
  looksRight: ['nut turns freely'],
  feelsRight: ['nut spins with one finger'],
  goesWrong: ['solder under the nut: it is stuck, and the end has to be made again'],
};

const looseNut = (own: Partial<Step>): Step => ({
  id: 'finish',
  name: 'Finish',
  title: 'Nut down on the body, label on',
  how: 'Screw the coupling nut over the body’s rear thread until it runs free.',
  byTouch: 'Turn the nut over the rear thread until it drops free; it spins with one finger.',
  looksRight: ['nut turns freely and reaches the front'],
  feelsRight: ['nut spins with one finger'],
  goesWrong: ['nut the wrong way round: it cannot be saved'],
  ...own,
});

/** Shrink over ferrule or reducer and jacket: adhesive-lined where weather reaches, else strain relief only. */
export const shrinkDown = ({ exposed, part }: RecipeInput, over = 'the ferrule'): Step => ({
  id: 'shrink',
  name: 'Shrink',
  title: exposed
    ? `Adhesive-lined shrink over ${over} and the jacket`
    : `Shrink over ${over} and the jacket, label on`,
  how: exposed
    ? 'Clean dry jacket. Warm it evenly from the connector outwards until adhesive shows all round. The mated joint is wrapped later all the same.'
    : 'Warm it evenly from the connector outwards. Plain tube is strain relief, not a seal.',
  byTouch:
    'Push it up until it stops at the body. Keep the gun moving a hand’s breadth away, count, wait until it is cold, then feel for a smooth grip.',
  looksRight: exposed
    ? ['adhesive seen all round at both ends', 'smooth, no bubble']
    : ['smooth, grips jacket and ferrule'],
  feelsRight: exposed ? ['a soft bead of adhesive at both ends, cold'] : ['it no longer slides'],
  goesWrong: [
    'scorched jacket: too hot, too near',
    ...(exposed ? ['plain tube taken: water creeps in behind it'] : []),
  ],
  caution: 'Hot air burns; keep it moving and off the dielectric.',
  tools: [{ tool: 'hot-air' }],
  timerS: part.gripMm > 16 ? 25 : 20,
});

/** A strain relief is pushed home by itself, last. */
export const reliefHome: Step = {
  id: 'relief',
  name: 'Relief',
  title: 'Push the strain relief home',
  how: 'Over jacket and reducer until it stops; it takes the bend, not the solder.',
  byTouch: 'Push it up the cable until it stops against the body; a tug does not bring it back.',
  looksRight: ['no gap before the body'],
  feelsRight: ['it stops hard and stays'],
  goesWrong: ['left down the cable: the first sharp bend breaks the centre'],
};

export const capOn = (input: RecipeInput): Step => ({
  id: 'cap',
  name: 'Cap',
  title: 'Close the window with its cap',
  how: 'Press or solder it as its sheet says, after the last short check.',
  byTouch: 'Lay the cap in the window and press until it is level with the body.',
  looksRight: ['cap flush'],
  feelsRight: ['level with the body all round'],
  goesWrong: ['left off: the window lets water and whiskers in'],
  places: placed(input, 'cap'),
});
