/** Noise as a ratio to that of a resistor at 290 K, and what a cable does to the signal-to-noise ratio. */

const fromDb = (db: number): number => 10 ** (db / 10);

/**
 * External noise factor at the antenna, as a ratio to k·290 K·B: man-made noise of a quiet rural place and the galaxy together.
 *
 * Fam = 67.2 − 27.7 log f for rural places, 52 − 23 log f for the galaxy (f in MHz, from about 10 MHz on).
 * Source: ITU-R P.372, from memory. Above 1 GHz the sky is taken as 10 K.
 */
export function externalNoise(frequencyHz: number): number {
  const mhz = frequencyHz / 1e6;
  const manMade = fromDb(67.2 - 27.7 * Math.log10(mhz));
  const galactic = mhz >= 10 ? fromDb(52 - 23 * Math.log10(mhz)) : 0;
  return Math.max(manMade + galactic, 10 / 290);
}

export interface ReceiveChain {
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
export function noisePenaltyDb({ frequencyHz, lossDb, receiverNoiseDb, preamplifier }: ReceiveChain): number {
  const outside = externalNoise(frequencyHz);
  const behind = fromDb(lossDb + receiverNoiseDb) - 1;
  const own = preamplifier
    ? fromDb(preamplifier.noiseFigureDb) - 1 + behind / fromDb(preamplifier.gainDb)
    : behind;
  return 10 * Math.log10((outside + own) / outside);
}
