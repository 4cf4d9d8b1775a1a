/** Noise as a ratio to that of a resistor at 290 K, and what a cable does to the signal-to-noise ratio. */

const fromDb = (db: number): number => 10 ** (db / 10);

/** Man-made noise by environment, as ITU-R P.372 names them: Fam = c − d·log f, dB above k·290 K·B, f in MHz. From memory. */
const manMade = {
  city: [76.8, 27.7],
  residential: [72.5, 27.7],
  rural: [67.2, 27.7],
  'quiet rural': [53.6, 28.6],
} as const;

export type NoisePlace = keyof typeof manMade;
export const noisePlaces = Object.keys(manMade) as NoisePlace[];

/** Where an antenna listens, and where to. */
export interface Listening {
  /** Default rural. */
  noisePlace?: NoisePlace;
  /** Of the beam above the horizon, degrees; default 30. */
  elevationDeg?: number;
}

const USUAL: Required<Listening> = { noisePlace: 'rural', elevationDeg: 30 };
/** Background of space, and air which radiates as it absorbs, K. */
const SPACE_K = 2.7;
const AIR_K = 275;
/** What clear air absorbs towards the zenith between 1 and 10 GHz, neper: 5 to 6 K of sky overhead, over 100 K at the horizon (ITU-R P.372, from memory). */
const ZENITH_NEPER = 0.01;
const LOWEST_ELEVATION = Math.sin(Math.PI / 180);

/** Noise temperature of a clear sky at an elevation, K. */
export function skyK(elevationDeg: number): number {
  const throughAir = ZENITH_NEPER / Math.max(LOWEST_ELEVATION, Math.sin((elevationDeg * Math.PI) / 180));
  return SPACE_K + AIR_K * (1 - Math.exp(-throughAir));
}

/** The ground is as warm as the day, K, and a usual beam as wide, degrees; side lobes always see a little of it. Common practice, no source. */
const GROUND_K = 290;
const BEAM_DEG = 30;
const SPILLOVER = 0.05;

/** What share of a beam falls on the ground: half of one which is level, all of one which looks down. */
export const groundShare = (elevationDeg: number): number =>
  Math.min(1, Math.max(SPILLOVER, 0.5 - elevationDeg / BEAM_DEG));

/** Noise temperature of what a beam sees, sky and ground by their shares, K. */
export function seenK(elevationDeg: number): number {
  const share = groundShare(elevationDeg);
  return share * GROUND_K + (1 - share) * skyK(elevationDeg);
}

/**
 * External noise factor at the antenna, as a ratio to k·290 K·B: man-made noise of its place, the galaxy (52 − 23 log f, from about 10 MHz on)
 * and the clear sky with the ground below it. Source: ITU-R P.372, from memory; man-made noise is given there to 250 MHz and carried on beyond.
 * Atmospheric noise (lightning near and far), which rules below about 10 MHz at night and in the tropics, is not in it.
 */
export function externalNoise(frequencyHz: number, listening: Listening = {}): number {
  const { noisePlace, elevationDeg } = { ...USUAL, ...listening };
  const mhz = frequencyHz / 1e6;
  const [c, d] = manMade[noisePlace];
  const galactic = mhz >= 10 ? fromDb(52 - 23 * Math.log10(mhz)) : 0;
  return fromDb(c - d * Math.log10(mhz)) + galactic + seenK(elevationDeg) / 290;
}

export interface ReceiveChain extends Listening {
  frequencyHz: number;
  /** Loss between antenna and receiver, dB. */
  lossDb: number;
  receiverNoiseDb: number;
  /** Amplifier at the antenna, before the loss. */
  preamplifier?: { noiseFigureDb: number; gainDb: number };
}

/**
 * What a receive chain costs in signal-to-noise ratio against an ideal receiver without noise of its own, dB.
 *
 * Friis: a loss L at 290 K before a receiver of noise factor F acts as one of L·F; behind an amplifier of gain G it counts
 * (L·F − 1)/G. The external noise comes in with the signal. Source: Friis’s formula, standard texts.
 */
export function noisePenaltyDb(chain: ReceiveChain): number {
  const { frequencyHz, lossDb, receiverNoiseDb, preamplifier } = chain;
  const outside = externalNoise(frequencyHz, chain);
  const behind = fromDb(lossDb + receiverNoiseDb) - 1;
  const own = preamplifier
    ? fromDb(preamplifier.noiseFigureDb) - 1 + behind / fromDb(preamplifier.gainDb)
    : behind;
  return 10 * Math.log10((outside + own) / outside);
}
