import type { RecipeInput, Step } from './recipe.js';

/** Steps which every card shares; a recipe puts them in its order and adds its own. */

export const partsCheck = ({ part }: RecipeInput): Step => ({
  id: 'parts',
  name: 'Parts',
  title: `Lay out the ${part.train.length} parts in a row`,
  how: `In sliding order: ${part.train.map((item) => item.name).join(', ')}.`,
  looksRight: ['every part is there and clean', 'the bore of the part takes the cable'],
  goesWrong: ['a part is missing: find it now, not after the crimp'],
});

export const slideOn = ({ part }: RecipeInput, ids: string[]): Step => {
  const items = part.train.filter(({ id }) => ids.includes(id));
  return {
    id: 'slide',
    name: 'Slide on',
    title: `Slide on ${listed(items.map((item) => item.name))}`,
    how: 'In this order, each the right way round, well back from the end.',
    looksRight: items.map(
      ({ name, direction }) => `${name}${direction ? `: ${direction}` : ' on the cable'}`,
    ),
    goesWrong: ['forgotten or back to front: the finished end has to be cut off'],
    confirm: items.map(({ id, name, direction }) => ({ id, name, ...(direction ? { direction } : {}) })),
  };
};

export const squareCut: Step = {
  id: 'cut',
  name: 'Square cut',
  title: 'Cut the cable’s end square',
  how: 'Sharp cutter, one go. Turn the cable and look from the side.',
  looksRight: ['round, not squashed', 'the face is square to the jacket'],
  goesWrong: ['a slanted end makes every strip length wrong on one side'],
  caution: 'Cut away from the thumb.',
};

export const jacket = ({ gauge, small }: RecipeInput): Step => ({
  id: 'jacket',
  name: 'Jacket',
  title: `Take the jacket off, ${small(gauge.jacketCutMm)} back from the cut`,
  how: 'Score it all round, do not press to the braid. Flex until it parts, pull it off straight.',
  looksRight: ['braid bright and whole, no strand cut', 'edge square, jacket end smooth'],
  goesWrong: [
    'a ring of cut strands: the crimp holds nothing; start again',
    'black or wet braid: cut back until it is bright and dry',
  ],
  caution: 'Blade away from the thumb.',
  gauge: 'jacket',
});

export const dressBraid = ({ gauge, small }: RecipeInput): Step => ({
  id: 'braid',
  name: 'Braid',
  title: `Trim the braid to ${small(stretch(gauge, 'braid'))}`,
  how: 'Comb it back, turning a soft stiff brush round the cable. Trim with fine scissors.',
  looksRight: ['even all round', 'no loose strands left on the dielectric'],
  goesWrong: ['a stray strand finds the centre and shorts the end'],
  gauge: 'braid',
});

export const bareCentre = ({ gauge, small }: RecipeInput): Step => ({
  id: 'centre',
  name: 'Centre',
  title: `Bare the centre for ${small(stretch(gauge, 'centre'))}`,
  how: `Leave ${small(stretch(gauge, 'dielectric'))} of dielectric beyond the braid. Never ring the conductor.`,
  looksRight: ['conductor bright and round, no nick', 'dielectric cut square'],
  goesWrong: ['a nick breaks at the first bend', 'a lost strand makes the pin loose'],
  caution: 'Blade away from the thumb.',
  gauge: 'centre',
});

export const shortCheck = (id: string, when: string): Step => ({
  id,
  name: 'Short check',
  title: 'Measure centre to braid',
  how: `${when} The far end is open.`,
  looksRight: ['open: above 100 MΩ, or over range'],
  goesWrong: ['a few ohms: a strand touches the centre; find it now'],
  reading: 'short check',
});

export const tug: Step = {
  id: 'tug',
  name: 'Tug',
  title: 'Pull the connector, firmly, once',
  how: 'Hold the cable, not the coupling nut.',
  looksRight: ['nothing moves'],
  goesWrong: ['it turns or slips: wrong die, or the neck went over the braid; cut off and start again'],
};

/** Where the iron is used: how long, and what it does to a hand. */
export const heat: Pick<Step, 'caution' | 'timerS'> = {
  caution: 'The iron burns. Ventilate, and keep your face out of the smoke.',
  timerS: 5,
};

/** The conductor soldered in the tip of a UHF plug; after it nothing comes apart any more. */
export const solderTip: Step = {
  id: 'tip',
  name: 'Tip',
  title: 'Solder the tip from inside, then trim it flush',
  how: 'Hot and brief. Let it cool before you touch or flex it. Outdoors, fill the tip with sealant.',
  looksRight: ['solder drawn in, none outside the pin', 'tip rounded, nothing proud'],
  goesWrong: [
    'solder outside: the plug will not enter the jack',
    'too long: the insulation melts and the centre wanders',
  ],
  ...heat,
  irreversible: true,
};

/** Braid combed and turned back over what lies behind it. */
export const foldBack = ({ part, small }: RecipeInput, over: string): Step => ({
  id: 'fold',
  name: 'Fold back',
  title: `Comb the braid out and fold it back over ${over}`,
  how: `Even all round, trimmed to ${small(part.foldBackMm)}. A soft stiff brush turned round the cable breaks the fewest strands.`,
  looksRight: ['one thin even layer', 'no strand left on the dielectric'],
  goesWrong: [
    'a lump on one side: the body starts askew',
    'a stray strand finds the centre and shorts the end',
  ],
});

/** The coupling nut over the finished body, shrink and label. */
export const finishNut: Step = {
  id: 'finish',
  name: 'Finish',
  title: 'Nut down on the body, label on',
  how: 'Screw the coupling nut over the body’s rear thread until it runs free.',
  looksRight: ['nut turns freely and reaches the front'],
  goesWrong: ['nut the wrong way round: it cannot be saved'],
};

export const finalCheck: Step = {
  id: 'prove',
  name: 'Prove',
  title: 'Measure centre to shell again',
  how: 'Flex the cable behind the connector while you watch the meter.',
  looksRight: ['open, and it stays open when flexed'],
  goesWrong: ['a short now came with the crimp: this end is cut off'],
  reading: 'insulation',
};

export const continuity: Step = {
  id: 'through',
  name: 'Through',
  title: 'Measure tip to the far conductor',
  how: 'Centre to centre. With the far end already made: pin to pin, then shell to shell.',
  looksRight: ['well under an ohm for a jumper; the Prove stage has the figure for the whole length'],
  goesWrong: ['open or jumping: the pin does not hold the conductor'],
  reading: 'continuity',
};

export const signOff: Step = {
  id: 'sign',
  name: 'Sign off',
  title: 'Sign this end off',
  how: 'Your name and the readings go into the log of the run.',
  looksRight: ['label on, nut runs free, shrink in place'],
  goesWrong: [],
};

/** Length of one stretch of a gauge, mm; 0 when the end has none. */
export const stretch = (gauge: RecipeInput['gauge'], layer: string): number =>
  gauge.stretches.find((s) => s.layer === layer)?.lengthMm ?? 0;

/** `a`, `a and b`, `a, b and c`. */
export const listed = (names: string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
