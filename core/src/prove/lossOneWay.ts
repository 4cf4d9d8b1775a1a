import { returnLossDb } from '../line/index.js';
import { lossFromReflection } from './sweepVerdict.js';
import { magnitudes, type Trace } from './trace.js';

/** Points over which noise is smoothed where the ripple is not known. */
const SMOOTHED = 31;

/**
 * Loss one way, dB: through a two-port, or half of what does not come back from an open or shorted end.
 *
 * What comes back from the far end and from the near joints beats in ripples of 1/(2τ); averaged over whole ripples they cancel.
 * @param far what was on the far end
 * @param delayS one way through what was measured, s, when it is known
 * @returns nothing when the sweep says nothing of loss
 */
export function lossOneWay(
  { s: { s11, s21 }, frequencyHz }: Pick<Trace, 's' | 'frequencyHz'>,
  far: string,
  delayS?: number,
): Float64Array | undefined {
  if (s21) return magnitudes(s21).map(returnLossDb);
  if (far !== 'open' && far !== 'short') return undefined;
  return lossFromReflection(magnitudes(s11).map(returnLossDb), wholeRipples(frequencyHz, delayS));
}

/** Points of as many whole ripples as are nearest to the usual smoothing, one at least. */
function wholeRipples(frequencyHz: Float64Array, delayS: number | undefined): number {
  if (delayS === undefined || frequencyHz.length < 2) return SMOOTHED;
  const stepHz = (frequencyHz[frequencyHz.length - 1] - frequencyHz[0]) / (frequencyHz.length - 1);
  const ripple = 1 / (2 * delayS) / stepHz;
  if (!(ripple > 1)) return SMOOTHED;
  return Math.round(Math.max(1, Math.round(SMOOTHED / ripple)) * ripple);
}
