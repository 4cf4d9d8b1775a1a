import type { Cable } from '../../catalog/index.js';
import { cableLine } from '../../line/index.js';
import type { MatchDevice } from './device.js';
import { piece } from './quarterWave.js';

/** A line that is nothing but long: so many degrees at a frequency. */
export function delayLine(degrees: number, frequencyHz: number, cable: Cable): MatchDevice {
  const one = piece('delay line', cable, degrees, frequencyHz);
  return {
    name: 'Delay line',
    frequencyHz,
    pieces: [one],
    elements: [cableLine(cable, one.lengthM)],
  };
}

/** Degrees at a frequency from a delay, s. */
export const degreesOfDelay = (delayS: number, frequencyHz: number): number => 360 * frequencyHz * delayS;
