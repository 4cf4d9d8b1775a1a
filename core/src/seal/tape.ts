import type { Tape } from '../catalog/index.js';

/** One step of a joint's profile, bottom first. Lengths in m here, since figures are SI. */
export interface ProfileStep {
  name: string;
  lengthM: number;
  diameterM: number;
}

export type TapeStretch = 'a little' | 'hard';

/**
 * How far the rubber is pulled, final length over free length, by school: until about three quarters of its width is left (1/√1.8), or a little, never
 * less: looser it does not fuse. Handbook of the trade, 6.
 */
export const stretchOf: Record<TapeStretch, number> = { 'a little': 1.5, hard: 1.8 };

/** How much of each turn lies on the one before. */
export type TapeLap = 'half' | 'two thirds';
export const tapeLaps = ['half', 'two thirds'] as const satisfies readonly TapeLap[];

/** The share of a turn’s width which is covered by the next; edge to edge it would be 0. */
export const lapOf: Record<TapeLap, number> = { half: 1 / 2, 'two thirds': 2 / 3 };

/** Where the lap is measured: along the joint’s axis, or across the tape as it lies aslant. */
export type TapeAdvance = 'along the axis' | 'across the tape';
export const tapeAdvances = ['along the axis', 'across the tape'] as const satisfies readonly TapeAdvance[];

/** How a tape goes round. */
export interface TapeMethod {
  /** Final length over free length. */
  stretch: number;
  /** Share of the width which lies on the turn before, 0 (edge to edge) to below 1. */
  lap: number;
  advance: TapeAdvance;
}

/**
 * Turns and unstretched tape of one pass over a stepped profile.
 *
 * Stretched by s the tape keeps its volume, so width and thickness shrink by √s. Along the axis each turn advances by a = w·(1 − lap);
 * across the tape it is a·cos θ = w·(1 − lap) with tan θ = a/(πD), so the tape advances further where the object is thin. A turn on
 * diameter D is √((πD)² + a²) long and uses 1/s of that.
 */
export function passOver(
  profile: readonly ProfileStep[],
  tape: Tape,
  { stretch, lap, advance }: TapeMethod,
): { turns: number; tapeM: number } {
  const widthM = (tape.widthMm / 1000 / Math.sqrt(stretch)) * (1 - lap);
  let turns = 0;
  let helixM = 0;
  for (const { lengthM, diameterM } of profile) {
    const roundM = Math.PI * diameterM;
    const advanceM = advance === 'along the axis' ? widthM : aslant(widthM, roundM);
    turns += lengthM / advanceM;
    helixM += (lengthM / advanceM) * Math.hypot(roundM, advanceM);
  }
  return { turns, tapeM: helixM / stretch };
}

/** A tape wider than half the way round cannot lie so aslant; nobody leads it at more than 45°. */
const aslant = (widthM: number, roundM: number): number =>
  widthM < roundM / Math.SQRT2 ? (widthM * roundM) / Math.sqrt(roundM ** 2 - widthM ** 2) : roundM;

/** How much a pass adds to a diameter, m: as many stretched thicknesses on every radius as turns lie over each other, 1/(1 − lap). */
export const growth = (tape: Tape, { stretch, lap }: Pick<TapeMethod, 'stretch' | 'lap'>): number =>
  (2 * tape.thicknessMm) / 1000 / Math.sqrt(stretch) / (1 - lap);
