import { attenuationDbPer100M } from '../line/index.js';
import type { Cable } from '../catalog/index.js';

/** Loss read at one frequency by the power at both ends, dB, and how sure that is. */
export interface LossRead {
  frequencyHz: number;
  lossDb: number;
  sigmaDb: number;
}

/** Of what kind the excess loss is: each as the share that explains it, and the deviation which remains. */
export interface ExcessKind {
  kind: 'copper' | 'wet dielectric' | 'fixed joint';
  /** Excess at the higher frequency if it were of this kind, dB. */
  excessDb: number;
  /** How far the two readings deviate from it, in standard deviations. */
  deviation: number;
}

/**
 * Two readings at two frequencies split excess loss by how it grows: copper with √f, a wet dielectric with f, a fixed joint not at all.
 *
 * @returns the kinds, the one first which explains both readings best; nothing when there is no excess beyond what the meters may err
 */
export function powerDetective(
  cable: Cable,
  lengthM: number,
  readings: readonly [LossRead, LossRead],
): ExcessKind[] {
  const [low, high] = readings.toSorted((x, y) => x.frequencyHz - y.frequencyHz);
  const excess = (one: LossRead): number =>
    one.lossDb - (attenuationDbPer100M(cable, one.frequencyHz) * lengthM) / 100;
  const [atLow, atHigh] = [excess(low), excess(high)];
  if (Math.max(atLow / low.sigmaDb, atHigh / high.sigmaDb) < 2) return [];
  const ratio = high.frequencyHz / low.frequencyHz;
  const growth: [ExcessKind['kind'], number][] = [
    ['copper', Math.sqrt(ratio)],
    ['wet dielectric', ratio],
    ['fixed joint', 1],
  ];
  return growth
    .map(([kind, grows]): ExcessKind => {
      // Least squares of one unknown, the excess at the low frequency, weighed by both errors.
      const [wl, wh] = [1 / low.sigmaDb ** 2, 1 / high.sigmaDb ** 2];
      const x = (wl * atLow + wh * grows * atHigh) / (wl + wh * grows * grows);
      const deviation = Math.hypot((atLow - x) / low.sigmaDb, (atHigh - grows * x) / high.sigmaDb);
      return { kind, excessDb: grows * x, deviation };
    })
    .sort((a, b) => a.deviation - b.deviation);
}
