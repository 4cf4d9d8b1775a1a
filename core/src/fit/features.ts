import { seriesOf, variantOf, type Face, type SeriesId } from '../catalog/index.js';

/** Something about a connector which can be seen, felt or measured, as a question with its answers. */
export interface Feature {
  id: string;
  by: 'look' | 'touch' | 'ruler';
  question: string;
  how: string;
  answers: { id: string; text: string }[];
  /** The right answer for a face; nothing where the question does not tell. */
  truth: (face: Face) => string | undefined;
  /** The answer a measured diameter belongs to, mm. */
  fromMm?: (mm: number) => string;
}

const yesNo = [
  { id: 'yes', text: 'Yes' },
  { id: 'no', text: 'No' },
];
const yesOrNo = (yes: boolean): string => (yes ? 'yes' : 'no');

/** The diameter a ruler meets first: across the plug’s nut, or the jack’s barrel. */
export const acrossMm = (face: Face): number => {
  const series = seriesOf(face);
  return face.body === 'plug' ? series.plugNutMm : series.jackBodyMm;
};

/** Bins over a length in mm, named by their upper bound. */
function bins(bounds: readonly number[]): {
  answers: Feature['answers'];
  binOf: (mm: number) => string;
} {
  const text = (k: number): string =>
    k === 0
      ? `under ${bounds[0]} mm`
      : k === bounds.length
        ? `over ${bounds[k - 1]} mm`
        : `${bounds[k - 1]} to ${bounds[k]} mm`;
  return {
    answers: Array.from({ length: bounds.length + 1 }, (_, k) => ({ id: String(k), text: text(k) })),
    binOf: (mm) => String(bounds.filter((bound) => mm >= bound).length),
  };
}

const across = bins([4, 5.6, 7.2, 8.7, 10.3, 12, 13.6, 15.2, 17, 19.4, 22.5, 27, 32]);

const couplingOf = (face: Face): string => {
  const plug = face.body === 'plug';
  switch (seriesOf(face).coupling) {
    case 'thread':
      return plug ? 'thread-inside' : 'thread-outside';
    case 'bayonet':
      return plug ? 'slots' : 'lugs';
    case 'push-on':
    case 'snap-on':
      return plug ? 'skirt' : 'smooth';
    case 'soldered':
      return plug ? 'wires' : 'terminals';
  }
};

const contactThickness = (face: Face): string => {
  const { pinMm } = variantOf(face);
  return pinMm < 1.1 ? 'needle' : pinMm < 2.3 ? 'lead' : pinMm < 5 ? 'match' : 'pencil';
};

/** Series in which it is air or insulator that tells two alike apart. */
const airTells = new Set<SeriesId>(['bnc', 'tnc', 'sma', '3-5mm', '2-92mm']);

const bore = bins([2.1, 2.65, 3.2, 3.9, 6, 9]);

/** The features of the trade; adding one touches this list only. */
export const features: Feature[] = [
  {
    id: 'coupling',
    by: 'look',
    question: 'What takes hold of the other half?',
    how: 'Look at the outside first, then into the ring.',
    answers: [
      { id: 'thread-inside', text: 'A ring or nut with a thread inside' },
      { id: 'thread-outside', text: 'A thread on the outside' },
      { id: 'lugs', text: 'Two small lugs on opposite sides' },
      { id: 'slots', text: 'A ring with two curved slots' },
      { id: 'skirt', text: 'A skirt that only pushes or snaps on' },
      { id: 'smooth', text: 'A smooth barrel' },
      { id: 'wires', text: 'Nothing: two bare wires' },
      { id: 'terminals', text: 'Two screw or solder terminals' },
    ],
    truth: couplingOf,
  },
  {
    id: 'centre',
    by: 'look',
    question: 'What is in the very centre?',
    how: 'Hold it towards the light.',
    answers: [
      { id: 'pin', text: 'A pin' },
      { id: 'socket', text: 'A hole' },
      { id: 'none', text: 'Neither: wires or terminals' },
    ],
    truth: (face) => (face.series === 'pair' ? 'none' : face.contact),
  },
  {
    id: 'prick',
    by: 'touch',
    question: 'Does the centre prick a fingertip?',
    how: 'Power off. Press gently into the middle; a hole feels flat.',
    answers: yesNo,
    truth: (face) => (face.series === 'pair' ? undefined : yesOrNo(face.contact === 'pin')),
  },
  {
    id: 'turning-ring',
    by: 'touch',
    question: 'Does a ring turn freely round it?',
    how: 'Hold the body and turn the front part.',
    answers: yesNo,
    truth: (face) => yesOrNo(face.body === 'plug' && ['thread', 'bayonet'].includes(seriesOf(face).coupling)),
  },
  {
    id: 'feel-lugs',
    by: 'touch',
    question: 'Can you feel two lugs on opposite sides?',
    how: 'Turn it between thumb and finger.',
    answers: yesNo,
    truth: (face) => yesOrNo(couplingOf(face) === 'lugs'),
  },
  {
    id: 'feel-thread',
    by: 'touch',
    question: 'Does a fingernail catch on a thread outside?',
    how: 'Draw the nail along it from the front.',
    answers: yesNo,
    truth: (face) => yesOrNo(couplingOf(face) === 'thread-outside'),
  },
  {
    id: 'across',
    by: 'ruler',
    question: 'How wide is it, across the outside?',
    how: 'Across the nut or ring, or across the thread of a part without one.',
    answers: across.answers,
    truth: (face) => (face.series === 'pair' ? undefined : across.binOf(acrossMm(face))),
    fromMm: across.binOf,
  },
  {
    id: 'bore',
    by: 'ruler',
    question: 'How wide is the hole of the outer conductor?',
    how: 'Across its mouth, round the contact; a lens and a rule with half millimetres.',
    answers: bore.answers,
    truth: (face) => (face.series === 'pair' ? undefined : bore.binOf(seriesOf(face).outerConductorIdMm)),
    fromMm: bore.binOf,
  },
  {
    id: 'feel-size',
    by: 'touch',
    question: 'How wide does it feel?',
    how: 'Close finger and thumb round it.',
    answers: [
      { id: 'thin', text: 'Like a thin pencil, or less' },
      { id: 'pencil', text: 'A little wider than a pencil' },
      { id: 'finger', text: 'Like a finger' },
      { id: 'thumb', text: 'Like a thumb' },
      { id: 'wide', text: 'Wider than a thumb' },
    ],
    truth: (face: Face): string | undefined => {
      if (face.series === 'pair') return undefined;
      const mm = acrossMm(face);
      return mm < 9.2 ? 'thin' : mm < 12 ? 'pencil' : mm < 15.5 ? 'finger' : mm < 22.5 ? 'thumb' : 'wide';
    },
  },
  {
    id: 'thickness',
    by: 'look',
    question: 'How thick is the pin, or the hole for it?',
    how: 'Compare it with something at hand.',
    answers: [
      { id: 'needle', text: 'Like a needle, under 1.1 mm' },
      { id: 'lead', text: 'Like a thick pencil lead, 1.1 to 2.3 mm' },
      { id: 'match', text: 'Like a match, 2.3 to 5 mm' },
      { id: 'pencil', text: 'Like a pencil, over 5 mm' },
    ],
    truth: (face) => (face.series === 'pair' ? undefined : contactThickness(face)),
  },
  {
    id: 'grip',
    by: 'look',
    question: 'How is its ring or nut made to be gripped?',
    how: 'Only if it has one.',
    answers: [
      { id: 'knurled', text: 'Knurled, round' },
      { id: 'hex', text: 'Six flats for a spanner' },
      { id: 'bayonet ring', text: 'A bayonet ring' },
      { id: 'sleeve', text: 'A smooth sleeve' },
      { id: 'none', text: 'It has none' },
    ],
    truth: (face) => (face.body === 'plug' ? seriesOf(face).nut : 'none'),
  },
  {
    id: 'air',
    by: 'look',
    question: 'What is right round the pin or hole, up to its mouth?',
    how: 'White plastic touches it, or there is a gap of air.',
    answers: [
      { id: 'insulator', text: 'Insulator touches it' },
      { id: 'air', text: 'Air' },
    ],
    truth: (face) =>
      airTells.has(face.series) ? (variantOf(face).airAround ? 'air' : 'insulator') : undefined,
  },
  {
    id: 'own-wire',
    by: 'look',
    question: 'Is the pin the bare copper of the cable itself?',
    how: 'Reddish, round, and cut off by hand.',
    answers: yesNo,
    truth: (face) => yesOrNo(face.series === 'f' && face.body === 'plug'),
  },
];
