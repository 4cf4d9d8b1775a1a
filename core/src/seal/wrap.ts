import { tapes, type Tape } from '../catalog/index.js';
import { figure, type Figure } from '../quantity/index.js';

/** One step of a joint's profile, bottom first. Lengths in m here, since figures are SI. */
export interface ProfileStep {
  name: string;
  lengthM: number;
  diameterM: number;
}

export type TapeStretch = 'a little' | 'hard';

/** How far the rubber is pulled, final length over free length, by school. Handbook practice. */
export const stretchOf: Record<TapeStretch, number> = { 'a little': 1.3, hard: 1.8 };

/** How much of each turn lies on the one before. */
export type TapeLap = 'half' | 'two thirds';
export const tapeLaps = ['half', 'two thirds'] as const satisfies readonly TapeLap[];

/** The share of a turn’s width which is covered by the next; edge to edge it would be 0. */
export const lapOf: Record<TapeLap, number> = { half: 1 / 2, 'two thirds': 2 / 3 };

/** How the shop puts tape on. */
export interface TapeSchool {
  stretch: TapeStretch;
  lap: TapeLap;
}

/** One pass of tape over a profile. */
export interface Pass {
  tape: Tape;
  turns: number;
  /** Unstretched tape used, m. */
  tapeM: number;
  /** Diameter after this pass over the largest step, m. */
  diameterM: number;
}

/** The wrap of one joint. */
export interface Wrap {
  passes: Pass[];
  rubberPasses: number;
  rubber: Figure;
  vinyl: Figure;
  length: Figure;
  finishedDiameter: Figure;
  /** Where the rubber starts and stops, m from the lower end of the profile. */
  startM: number;
  stopM: number;
  instructions: string[];
}

/** Where tape seals a joint; in the ground it does not. */
export type TapedExposure = 'sheltered' | 'outdoor' | 'salt' | 'ice';

/** Rubber passes by exposure: one sheltered, two as standard, three for ice and salt. Common practice, no source. */
export const passesFor: Record<TapedExposure, number> = { sheltered: 1, outdoor: 2, salt: 3, ice: 3 };

/**
 * Turns and unstretched tape of one pass over a stepped profile.
 *
 * The lap is taken along the axis: each turn advances by the stretched width less the lap. Stretched by s the tape keeps its
 * volume, so width and thickness shrink by √s; a turn on diameter D is √((πD)² + advance²) long and uses 1/s of that.
 * @param lap share of the width lying on the turn before, 0 (edge to edge) to below 1
 */
export function passOver(
  profile: readonly ProfileStep[],
  tape: Tape,
  stretch: number,
  lap: number,
): Omit<Pass, 'tape' | 'diameterM'> {
  const advanceM = (tape.widthMm / 1000 / Math.sqrt(stretch)) * (1 - lap);
  let turns = 0;
  let helixM = 0;
  for (const { lengthM, diameterM } of profile) {
    turns += lengthM / advanceM;
    helixM += (lengthM / advanceM) * Math.hypot(Math.PI * diameterM, advanceM);
  }
  return { turns, tapeM: helixM / stretch };
}

/** The profile after a pass: as many stretched thicknesses more on every radius as turns lie over each other, 1/(1 − lap). */
export function thicker(
  profile: readonly ProfileStep[],
  tape: Tape,
  stretch: number,
  lap: number,
): ProfileStep[] {
  const growth = (2 * tape.thicknessMm) / 1000 / Math.sqrt(stretch) / (1 - lap);
  return profile.map((step) => ({ ...step, diameterM: step.diameterM + growth }));
}

/** Light tension for the sun layer, common practice. */
const VINYL_STRETCH = 1.05;
const VINYL_LAP = 1 / 2;

const lapWords: Record<TapeLap, string> = { half: 'half lap', 'two thirds': 'two-thirds lap' };

/**
 * The wrap of a joint: rubber in laps from the bottom up, then a sun layer past both ends.
 *
 * @param joint stepped profile from the lower jacket to the upper one, without the run-out on the jackets
 * @param jackets diameters of lower and upper neighbour, m: the rubber runs out on both by one tape width
 */
export function wrapJoint(
  joint: readonly ProfileStep[],
  jackets: { lowerM: number; upperM: number },
  exposure: TapedExposure,
  school: TapeSchool,
): Wrap {
  const stretch = stretchOf[school.stretch];
  const lap = lapOf[school.lap];
  const { rubber38, vinyl19 } = tapes;
  const width = rubber38.widthMm / 1000;
  const startM = -width;
  let profile: ProfileStep[] = [
    { name: 'lower jacket', lengthM: width, diameterM: jackets.lowerM },
    ...joint,
    { name: 'upper side', lengthM: width, diameterM: jackets.upperM },
  ];
  const lengthM = profile.reduce((sum, step) => sum + step.lengthM, 0);
  const passes: Pass[] = [];
  for (let k = 0; k < passesFor[exposure]; k++) {
    const pass = passOver(profile, rubber38, stretch, lap);
    profile = thicker(profile, rubber38, stretch, lap);
    passes.push({ tape: rubber38, ...pass, diameterM: widest(profile) });
  }
  const sun: ProfileStep[] = [
    { name: 'below', lengthM: vinyl19.widthMm / 1000, diameterM: jackets.lowerM },
    ...profile,
    { name: 'above', lengthM: vinyl19.widthMm / 1000, diameterM: jackets.upperM },
  ];
  const finishedM = widest(thicker(sun, vinyl19, VINYL_STRETCH, VINYL_LAP));
  const vinyl = passOver(sun, vinyl19, VINYL_STRETCH, VINYL_LAP);
  passes.push({ tape: vinyl19, ...vinyl, diameterM: finishedM });
  const rubberM = passes
    .filter(({ tape }) => tape.kind === 'rubber')
    .reduce((sum, pass) => sum + pass.tapeM, 0);
  const source = `${lapWords[school.lap]} along the axis, stretched ${stretch} times, constant volume`;
  return {
    passes,
    rubberPasses: passesFor[exposure],
    rubber: figure(rubberM, 'm', source, rubberM * 0.1),
    vinyl: figure(vinyl.tapeM, 'm', 'half lap along the axis, light tension', vinyl.tapeM * 0.1),
    length: figure(lengthM, 'mm', 'profile of the joint and the run-out on both sides', 0.005),
    finishedDiameter: figure(
      finishedM,
      'mm',
      `stretched thicknesses as they lie over each other, ${lapWords[school.lap]}`,
      0.002,
    ),
    startM,
    stopM: startM + lengthM,
    instructions: instructions(exposure, school),
  };
}

const widest = (profile: readonly ProfileStep[]): number =>
  Math.max(...profile.map(({ diameterM }) => diameterM));

/** The last pass of every layer runs upwards, so that laps shed water. Common practice, no source. */
export const passWords: Record<number, string> = {
  1: 'One pass, from the lower jacket up.',
  2: 'Two passes: begin at the top, go down, and come back up, so that the last one sheds water.',
  3: 'Three passes: up, down and up again, so that the last one sheds water.',
};

function instructions(exposure: TapedExposure, school: TapeSchool): string[] {
  return [
    'Joint tight, clean and dry; a thin film of silicone grease on the threads only. Never tape a wet or frozen joint.',
    `Rubber: ${lapWords[school.lap]}, stretched ${school.stretch === 'hard' ? 'hard, to 1.8 times' : 'a little, to 1.3 times'}. ${passWords[passesFor[exposure]]}`,
    'UV layer: vinyl over all of it, past both ends, the last pass upwards; its last turn without tension.',
    'A UV-stable tie over the tape’s end, and a drip loop below the joint.',
    ...(exposure === 'salt'
      ? [
          'In salt: rinse with fresh water and dry before the first layer; gold or silver parts and tinned braid only; look again in six months.',
        ]
      : []),
    ...(exposure === 'ice'
      ? ['In ice: dress the run so that ice slides past the joint and does not hang on it.']
      : []),
  ];
}
