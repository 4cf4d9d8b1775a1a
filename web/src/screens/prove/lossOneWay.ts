import { lossFromReflection, magnitudes, returnLossDb, type FarEndKind, type Trace } from '@kobran/core';

/** Points over which the ripple of near joints is smoothed out of a loss read by reflection. */
const SMOOTHED = 31;

/** Loss one way, dB: through a two-port, or half of what does not come back from an open or shorted end. */
export function lossOneWay({ s11, s21 }: Trace['s'], far: FarEndKind): Float64Array | undefined {
  if (s21) return magnitudes(s21).map(returnLossDb);
  if (far !== 'open' && far !== 'short') return undefined;
  return lossFromReflection(magnitudes(s11).map(returnLossDb), SMOOTHED);
}
