import { returnLossDb } from '../line/index.js';
import { lossFromReflection } from './sweepVerdict.js';
import { magnitudes, type Trace } from './trace.js';

/** Points over which the ripple of near joints is smoothed out of a loss read by reflection. */
const SMOOTHED = 31;

/**
 * Loss one way, dB: through a two-port, or half of what does not come back from an open or shorted end.
 *
 * @param far what was on the far end
 * @returns nothing when the sweep says nothing of loss
 */
export function lossOneWay({ s11, s21 }: Trace['s'], far: string): Float64Array | undefined {
  if (s21) return magnitudes(s21).map(returnLossDb);
  if (far !== 'open' && far !== 'short') return undefined;
  return lossFromReflection(magnitudes(s11).map(returnLossDb), SMOOTHED);
}
