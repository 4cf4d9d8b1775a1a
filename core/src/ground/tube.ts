import { GAS_TUBE_TOLERANCE, gasTubeVolts, letThroughV } from '../catalog/index.js';
import { peakVoltageFromNet } from '../line/index.js';
import { figure, type Figure } from '../quantity/index.js';

/** Share by which the tube's lowest firing voltage must exceed the run's peak. Common practice, no source. */
export const TUBE_MARGIN = 1.25;

/** A run is planned to survive at least this SWR, whatever the antenna promises: ice and damage. Common practice, no source. */
export const PLANNING_SWR = 2;

/** The choice of gas tube for one run. */
export interface TubeChoice {
  /** Peak voltage at a standing-wave maximum, of the *net* power delivered. */
  peak: Figure;
  /** With the margin: what the tube's lowest firing voltage must reach. */
  needed: Figure;
  /** Nominal voltage of the lowest standard tube that holds; none holds above 800 V. */
  tubeV: number | undefined;
  /** Its lowest firing voltage, V. */
  firesAboveV: number | undefined;
  /** Power which the tube bears into a matched 50 ohm load, W: its trade size. */
  holdsW: number | undefined;
  why: string;
}

/** Lowest voltage at which a tube of this nominal voltage may fire, V. IEC 61643-311, from memory. */
export const lowestFiringV = (tubeV: number): number => tubeV * (1 - GAS_TUBE_TOLERANCE);

/** Highest voltage at which it may fire, V. IEC 61643-311, from memory. */
export const highestFiringV = (tubeV: number): number => tubeV * (1 + GAS_TUBE_TOLERANCE);

/**
 * Chooses the lowest standard tube which does not fire on the transmitter.
 *
 * @param peakEnvelopeW net power a tuner or transmitter can press into the run, peak envelope, W
 * @param z0Ohm impedance of the line, ohm
 * @param swr standing-wave ratio expected; the planning SWR of 2 applies when it is lower
 */
export function chooseTube(peakEnvelopeW: number, z0Ohm: number, swr: number): TubeChoice {
  const planned = Math.max(PLANNING_SWR, swr);
  const peakV = peakVoltageFromNet(peakEnvelopeW, z0Ohm, planned);
  const neededV = peakV * TUBE_MARGIN;
  const tubeV = gasTubeVolts.find((volts) => lowestFiringV(volts) >= neededV);
  const firesAboveV = tubeV === undefined ? undefined : lowestFiringV(tubeV);
  return {
    peak: figure(peakV, 'V', `√(2·P·Z0·SWR), net power, SWR ${planned.toFixed(1)}`),
    needed: figure(neededV, 'V', `peak voltage times ${TUBE_MARGIN}`),
    tubeV,
    firesAboveV,
    holdsW: firesAboveV === undefined ? undefined : firesAboveV ** 2 / (2 * z0Ohm),
    why:
      tubeV === undefined || firesAboveV === undefined
        ? `No standard tube holds ${Math.round(neededV)} V: use a quarter-wave or filter type for the band, or less power.`
        : `${tubeV} V is the lowest standard tube whose lowest firing voltage, ${Math.round(firesAboveV)} V, is above ${Math.round(neededV)} V. A higher one has a higher let-through voltage.`,
  };
}

/** What a tube of this nominal voltage lets through before it fires, V; nothing for one that is no standard tube. */
export function letThrough(tubeV: number): Figure | undefined {
  const volts = letThroughV.get(tubeV);
  return volts === undefined
    ? undefined
    : figure(volts, 'V', 'fast surge, 1 kV/µs; ITU-T K.12, typical, from memory', 0.2 * volts);
}
