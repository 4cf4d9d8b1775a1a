import type { SealSystemId } from './system.js';

/** What is said of a system where somebody seals: apart from its arithmetic, which every first page carries. */
export interface SealWords {
  /** What speaks for it and against it. */
  why: string;
  /** How it is opened. */
  opening: string[];
  /** What to do besides putting on its layers, in order. */
  after: string[];
}

const tape = [
  'Score it lengthwise on the side away from the cable. Never cut towards the jacket.',
  'Peel it off, clean the threads, look at them, and renew the grease.',
];

/** Handbook of the trade, 6; common practice, no source. */
export const sealWords: Record<SealSystemId, SealWords> = {
  'rubber and vinyl': {
    why: 'Fits every joint, comes off again, and every crew has it; it is as good as the hand which puts it on.',
    opening: tape,
    after: ['A UV-stable tie over the tape’s end, in this year’s colour.'],
  },
  mastic: {
    why: 'Fills deep steps and stays soft, so it suits big connectors, ice and many years; thick, and it needs the vinyl under it to come off.',
    opening: tape,
    after: [
      'Press the mastic with the hand until no edge shows through the vinyl.',
      'A UV-stable tie over the tape’s end.',
    ],
  },
  'cold shrink': {
    why: 'Quick, no flame, the same in every hand; it goes onto the cable before the connector is coupled, and is cut off to open.',
    opening: [
      'Cut it lengthwise on the side away from the cable, blade flat. A new one closes the joint again.',
    ],
    after: ['Pull the core out evenly, turn by turn, from the lower end upwards.'],
  },
  'adhesive shrink': {
    why: 'Tight and tidy where heat may be used; it goes onto the cable before the connector is coupled, and does not come off whole.',
    opening: [
      'Warm it, cut it lengthwise on the side away from the cable, and peel it off while it is warm.',
      'Take the rest of the adhesive off the threads with solvent, away from the dielectric.',
    ],
    after: [
      'Heat it from its middle towards both ends, all round, until adhesive shows at both rims. Foam dielectric softens: keep the heat moving.',
      'Let it cool before the cable is moved.',
    ],
  },
  'gel boot': {
    why: 'Opens and closes by hand for measuring; bulky, and it must hang so that water runs off its seam.',
    opening: [
      'Release its latches, open it, and wipe the gel off the threads. Look at the gel: one with grit in it is replaced.',
    ],
    after: ['Close it until every latch clicks, its seam downwards.'],
  },
};
