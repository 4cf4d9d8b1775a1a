import type { Cable } from '../../catalog/index.js';
import { cableLine, type Complex } from '../../line/index.js';
import { physicalLengthM } from '../electricalLength.js';
import { polarReflection, type MatchDevice, type MatchPiece } from './device.js';

/** What a quarter-wave section must have and has. */
export interface QuarterWave extends MatchDevice {
  /** √(Z1 Z2), ohm. */
  wantedOhm: number;
  /** Impedance the run sees with the cable that was taken, ohm. */
  seenOhm: number;
}

/** Shorter is a connector, degrees. */
const LEAST_DEGREES = 1;

/**
 * A quarter-wave transformer: Z = √(Z1 Z2). Before a load with reactance lies a piece of the run’s own cable, as long as it takes
 * until the impedance is real. Source: The ARRL Antenna Book; Pozar, Microwave Engineering.
 *
 * @param load at the frequency, ohm
 * @param runCable the run’s own cable, towards the load
 * @param section cables to choose from; the one whose impedance is nearest is taken
 */
export function quarterWave(
  load: Complex,
  frequencyHz: number,
  runOhm: number,
  runCable: Cable,
  section: readonly Cable[],
): QuarterWave {
  const [size, angle] = polarReflection(load, runCable.impedanceOhm);
  // On the way to the radio the reflection turns clockwise by 2βl; it is real at a maximum (angle 0) or a minimum (π).
  const degreesTo = (goal: number): number => {
    const turn = (((angle - goal) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
    return (turn / 2) * (180 / Math.PI);
  };
  const isReal = Math.abs(load.im) < 1e-3 * Math.hypot(load.re, load.im);
  const [toMaximum, toMinimum] = [degreesTo(0), degreesTo(Math.PI)];
  const atMaximum = toMaximum <= toMinimum;
  const before = isReal ? 0 : Math.min(toMaximum, toMinimum);
  const realOhm = isReal
    ? load.re
    : runCable.impedanceOhm * (atMaximum ? (1 + size) / (1 - size) : (1 - size) / (1 + size));
  const wantedOhm = Math.sqrt(runOhm * realOhm);
  const [cable] = section.toSorted(
    (x, y) => Math.abs(Math.log(x.impedanceOhm / wantedOhm)) - Math.abs(Math.log(y.impedanceOhm / wantedOhm)),
  );
  const pieces: MatchPiece[] = [
    piece('quarter-wave section', cable, 90, frequencyHz),
    ...(before < LEAST_DEGREES ? [] : [piece('to the real axis', runCable, before, frequencyHz)]),
  ];
  return {
    name: 'Quarter-wave transformer',
    frequencyHz,
    pieces,
    elements: pieces.map((one) => cableLine(one.cable, one.lengthM)),
    wantedOhm,
    seenOhm: cable.impedanceOhm ** 2 / realOhm,
  };
}

export const piece = (
  name: string,
  cable: Cable,
  degrees: number,
  frequencyHz: number,
  far?: MatchPiece['far'],
): MatchPiece => ({
  name,
  cable,
  degrees,
  lengthM: physicalLengthM({ frequencyHz, degrees }, cable.velocityFactor),
  ...(far ? { far } : {}),
});
