import { noisePenaltyDb } from '../../line/index.js';
import { figure, type Figure } from '../../quantity/index.js';
import type { Service } from '../design/design.js';

/** A receiver of which nothing is known. Common practice, no source. */
export const USUAL_NOISE_FIGURE_DB = 5;

/** What a receive-only run does to the signal-to-noise ratio. */
export interface Reception {
  /** Lost through the cable: against the same receiver straight at the antenna. */
  costs: Figure;
  /** Against a receiver without any noise of its own. */
  penalty: Figure;
  amplified: boolean;
}

/**
 * Signal-to-noise of a receive-only run: loss counts only before the first amplifier, and only against the noise that comes
 * in from outside. Source: Friis’s formula; external noise after ITU-R P.372, from memory.
 */
export function receptionOf(
  { noiseFigureDb = USUAL_NOISE_FIGURE_DB, preamplifier, noisePlace, elevationDeg }: Service,
  frequencyHz: number,
  lossDb: number,
): Reception {
  const chain = {
    frequencyHz,
    receiverNoiseDb: noiseFigureDb,
    ...(preamplifier ? { preamplifier } : {}),
    ...(noisePlace ? { noisePlace } : {}),
    ...(elevationDeg === undefined ? {} : { elevationDeg }),
  };
  const penaltyDb = noisePenaltyDb({ ...chain, lossDb });
  const atAntennaDb = noisePenaltyDb({ ...chain, lossDb: 0 });
  const source = `Friis’s formula with external noise after ITU-R P.372: ${noisePlace ?? 'rural'} man-made, galactic and clear sky, from memory; atmospheric noise is not in it`;
  return {
    costs: figure(penaltyDb - atAntennaDb, 'dB', source, 0.2 * (penaltyDb - atAntennaDb) + 0.1),
    penalty: figure(penaltyDb, 'dB', source, 0.2 * penaltyDb + 0.1),
    amplified: preamplifier !== undefined,
  };
}
