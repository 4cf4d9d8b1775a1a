/** What can be wrong with a run, as an installer names it. */
export const causeIds = [
  'nothing',
  'open pin',
  'whisker',
  'melted dielectric',
  'wrong impedance part',
  'reverse polarity',
  'loose nut',
  'dirty contact',
  'water',
  'crush',
  'failed tube',
  'antenna',
] as const;
export type CauseId = (typeof causeIds)[number];

/** What has been seen, as far as it goes; what was not looked at is left out. */
export interface Findings {
  /** Centre to centre: does direct current pass? */
  continuity?: 'through' | 'open' | 'jumping';
  /** Centre to shell, antenna off. */
  insulation?: 'open' | 'leaky' | 'short';
  /** Does wiggling change a reading? */
  wiggle?: 'still' | 'jumps';
  /** Return loss into a load: as computed, worse, or nothing passes at all. */
  match?: 'as computed' | 'worse' | 'total';
  /** Loss over the computed loss. */
  loss?: 'as computed' | 'more, rising with frequency' | 'more, alike everywhere';
  /** The echo which was not computed: where, or none. */
  echo?: 'none' | 'at a joint' | 'in a cable' | 'at the arrester' | 'at the antenna' | 'spread out';
  /** Did it change after rain? */
  rain?: 'no change' | 'worse after rain';
  /** Loss against the day it was new. */
  drift?: 'none' | 'more, rising with frequency' | 'more, alike everywhere';
  /** Power at both ends, against the computed loss. */
  power?: 'as computed' | 'more lost' | 'more comes back';
}

export type TestId = keyof Findings;

/** Every answer a test can give, and how to take it. */
export const causeTests: {
  [Test in TestId]-?: { name: string; how: string; answers: NonNullable<Findings[Test]>[] };
} = {
  continuity: {
    name: 'Continuity, centre to centre',
    how: 'Ohm-meter from pin to pin, leads zeroed.',
    answers: ['through', 'open', 'jumping'],
  },
  insulation: {
    name: 'Insulation, centre to shell',
    how: 'Antenna and load off; ohm-meter from pin to shell.',
    answers: ['open', 'leaky', 'short'],
  },
  wiggle: {
    name: 'Wiggle while reading',
    how: 'Flex each end behind its connector while somebody watches the meter.',
    answers: ['still', 'jumps'],
  },
  match: {
    name: 'Sweep into a load',
    how: 'A good load instead of the antenna.',
    answers: ['as computed', 'worse', 'total'],
  },
  loss: {
    name: 'Loss against the computed loss',
    how: 'Through, or with the far end open or shorted.',
    answers: ['as computed', 'more, rising with frequency', 'more, alike everywhere'],
  },
  echo: {
    name: 'Echo by distance',
    how: 'The place from which more comes back than was computed.',
    answers: ['none', 'at a joint', 'in a cable', 'at the arrester', 'at the antenna', 'spread out'],
  },
  rain: {
    name: 'After rain',
    how: 'Was it worse after rain, and better when dry?',
    answers: ['no change', 'worse after rain'],
  },
  drift: {
    name: 'Loss against the day it was new',
    how: 'Sweep as it was swept for its birth record.',
    answers: ['none', 'more, rising with frequency', 'more, alike everywhere'],
  },
  power: {
    name: 'Power at both ends',
    how: 'Forward at the radio, and in a dummy load at the far end.',
    answers: ['as computed', 'more lost', 'more comes back'],
  },
};

/** One cause: its name, what to do, how common it is, and how often each test answers what when it is there. */
export interface Cause {
  id: CauseId;
  name: string;
  remedy: string;
  /** Share of faulty runs, before anything is read; editable. */
  prior: number;
  /** Probability of each answer of each test; each row adds up to 1. Common practice, no source. */
  answers: { [Test in TestId]-?: number[] };
}

/** Rows in the order of the answers above. */
export const causes: Cause[] = [
  {
    id: 'nothing',
    name: 'Nothing is wrong with the line',
    remedy: 'Look at the radio, the load and the analyser’s own calibration.',
    prior: 0.08,
    answers: {
      continuity: [0.98, 0.01, 0.01],
      insulation: [0.97, 0.02, 0.01],
      wiggle: [0.98, 0.02],
      match: [0.96, 0.03, 0.01],
      loss: [0.96, 0.02, 0.02],
      echo: [0.94, 0.02, 0.01, 0.01, 0.01, 0.01],
      rain: [0.97, 0.03],
      drift: [0.96, 0.02, 0.02],
      power: [0.95, 0.03, 0.02],
    },
  },
  {
    id: 'open pin',
    name: 'A centre pin is not connected',
    remedy: 'Open the end at the echo: pin not home, not soldered, or pushed back.',
    prior: 0.13,
    answers: {
      continuity: [0.02, 0.78, 0.2],
      insulation: [0.97, 0.02, 0.01],
      wiggle: [0.45, 0.55],
      match: [0.02, 0.08, 0.9],
      loss: [0.05, 0.15, 0.8],
      echo: [0.02, 0.94, 0.01, 0.01, 0.01, 0.01],
      rain: [0.93, 0.07],
      drift: [0.1, 0.1, 0.8],
      power: [0.02, 0.08, 0.9],
    },
  },
  {
    id: 'whisker',
    name: 'A whisker of braid touches the centre',
    remedy: 'The short is inside the end at the echo: cut it off and make it again.',
    prior: 0.12,
    answers: {
      continuity: [0.95, 0.03, 0.02],
      insulation: [0.05, 0.03, 0.92],
      wiggle: [0.55, 0.45],
      match: [0.02, 0.08, 0.9],
      loss: [0.06, 0.04, 0.9],
      echo: [0.02, 0.94, 0.01, 0.01, 0.01, 0.01],
      rain: [0.95, 0.05],
      drift: [0.1, 0.05, 0.85],
      power: [0.03, 0.07, 0.9],
    },
  },
  {
    id: 'melted dielectric',
    name: 'Melted insulation at an end',
    remedy: 'Cut that end off; next time shorter heat and a larger iron.',
    prior: 0.08,
    answers: {
      continuity: [0.97, 0.02, 0.01],
      insulation: [0.35, 0.55, 0.1],
      wiggle: [0.9, 0.1],
      match: [0.1, 0.88, 0.02],
      // A short stretch of another impedance sends more back the higher the frequency: less passes.
      loss: [0.6, 0.3, 0.1],
      echo: [0.04, 0.92, 0.01, 0.01, 0.01, 0.01],
      rain: [0.95, 0.05],
      drift: [0.7, 0.15, 0.15],
      power: [0.5, 0.2, 0.3],
    },
  },
  {
    id: 'wrong impedance part',
    name: 'A part of the wrong impedance',
    remedy: 'Look at the joint at the echo for a 75 ohm part or the wrong pin.',
    prior: 0.07,
    answers: {
      continuity: [0.98, 0.01, 0.01],
      insulation: [0.98, 0.01, 0.01],
      wiggle: [0.98, 0.02],
      match: [0.05, 0.94, 0.01],
      // A short stretch of another impedance sends more back the higher the frequency: less passes.
      loss: [0.6, 0.3, 0.1],
      echo: [0.04, 0.92, 0.01, 0.01, 0.01, 0.01],
      rain: [0.97, 0.03],
      drift: [0.95, 0.03, 0.02],
      power: [0.5, 0.1, 0.4],
    },
  },
  {
    id: 'reverse polarity',
    name: 'A reverse-polarity connector: it fits and does not touch',
    remedy: 'Identify both connectors of the joint at the echo: pin against pin, or hole against hole.',
    prior: 0.05,
    answers: {
      continuity: [0.01, 0.97, 0.02],
      insulation: [0.98, 0.01, 0.01],
      wiggle: [0.97, 0.03],
      match: [0.01, 0.04, 0.95],
      loss: [0.02, 0.68, 0.3],
      echo: [0.02, 0.94, 0.01, 0.01, 0.01, 0.01],
      rain: [0.97, 0.03],
      drift: [0.9, 0.05, 0.05],
      power: [0.02, 0.08, 0.9],
    },
  },
  {
    id: 'loose nut',
    name: 'A coupling nut is loose',
    remedy: 'Tighten every nut to its torque, then sweep again.',
    prior: 0.11,
    answers: {
      continuity: [0.6, 0.02, 0.38],
      insulation: [0.98, 0.01, 0.01],
      wiggle: [0.03, 0.97],
      match: [0.1, 0.85, 0.05],
      loss: [0.2, 0.05, 0.75],
      echo: [0.05, 0.91, 0.01, 0.01, 0.01, 0.01],
      rain: [0.85, 0.15],
      drift: [0.3, 0.05, 0.65],
      power: [0.25, 0.45, 0.3],
    },
  },
  {
    id: 'dirty contact',
    name: 'A dirty, worn or oxidised contact',
    remedy:
      'Clean both connectors, look at pin and socket with a lens, couple again by torque; what is worn is replaced.',
    prior: 0.09,
    answers: {
      continuity: [0.72, 0.03, 0.25],
      insulation: [0.97, 0.02, 0.01],
      wiggle: [0.35, 0.65],
      match: [0.45, 0.5, 0.05],
      loss: [0.35, 0.1, 0.55],
      echo: [0.25, 0.64, 0.02, 0.04, 0.03, 0.02],
      rain: [0.8, 0.2],
      drift: [0.25, 0.1, 0.65],
      power: [0.4, 0.5, 0.1],
    },
  },
  {
    id: 'water',
    name: 'Water in the cable',
    remedy: 'Replace the cable and find where it came in; drying does not bring the braid back.',
    prior: 0.11,
    answers: {
      continuity: [0.97, 0.02, 0.01],
      insulation: [0.35, 0.6, 0.05],
      wiggle: [0.96, 0.04],
      match: [0.75, 0.24, 0.01],
      loss: [0.03, 0.94, 0.03],
      echo: [0.22, 0.05, 0.05, 0.01, 0.02, 0.65],
      rain: [0.12, 0.88],
      drift: [0.05, 0.92, 0.03],
      power: [0.1, 0.87, 0.03],
    },
  },
  {
    id: 'crush',
    name: 'Crushed or kinked cable',
    remedy: 'Look at the place of the echo: a tie too tight, a bend too sharp, a door.',
    prior: 0.08,
    answers: {
      continuity: [0.97, 0.02, 0.01],
      insulation: [0.93, 0.04, 0.03],
      wiggle: [0.95, 0.05],
      match: [0.12, 0.86, 0.02],
      loss: [0.9, 0.05, 0.05],
      echo: [0.03, 0.02, 0.92, 0.01, 0.01, 0.01],
      rain: [0.95, 0.05],
      drift: [0.8, 0.05, 0.15],
      power: [0.5, 0.1, 0.4],
    },
  },
  {
    id: 'failed tube',
    name: 'The arrester’s gas tube has failed',
    remedy: 'Take the tube out and read again; fit a new one of the right voltage.',
    prior: 0.05,
    answers: {
      continuity: [0.97, 0.02, 0.01],
      insulation: [0.05, 0.1, 0.85],
      wiggle: [0.97, 0.03],
      match: [0.02, 0.08, 0.9],
      loss: [0.05, 0.05, 0.9],
      echo: [0.02, 0.02, 0.01, 0.93, 0.01, 0.01],
      rain: [0.9, 0.1],
      drift: [0.1, 0.05, 0.85],
      power: [0.03, 0.07, 0.9],
    },
  },
  {
    id: 'antenna',
    name: 'The antenna itself',
    remedy: 'Sweep at the antenna’s own port, or with a load in its place.',
    prior: 0.03,
    answers: {
      continuity: [0.97, 0.02, 0.01],
      insulation: [0.97, 0.02, 0.01],
      wiggle: [0.93, 0.07],
      match: [0.95, 0.04, 0.01],
      loss: [0.95, 0.03, 0.02],
      echo: [0.04, 0.01, 0.01, 0.01, 0.92, 0.01],
      rain: [0.6, 0.4],
      drift: [0.93, 0.04, 0.03],
      power: [0.93, 0.04, 0.03],
    },
  },
];
