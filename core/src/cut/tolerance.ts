import { SPEED_OF_LIGHT } from '../line/index.js';
import type { ElectricalTarget } from './electricalLength.js';

/** How much phase may be left over, as the user says it: degrees, mm of this cable, or picoseconds; either way. */
export const toleranceUnits = ['deg', 'mm', 'ps'] as const;
export interface PhaseTolerance {
  value: number;
  unit: (typeof toleranceUnits)[number];
}

/** Phase left over in one piece that nobody can use, degrees either way. Common practice, no source. */
const USUAL_DEG = 1;
/** Pieces of one set share its tolerance, a quarter each way: then two of them never differ by more than half of it. Handbook practice. */
const SHARE_IN_SET = 1 / 4;
/** Between the longest and the shortest piece of a set which nobody can use, degrees. Common practice, no source. */
const USUAL_SET_DEG = 2;

/** The tolerance of a target in degrees at its frequency; the usual one where none is given. */
function inDegrees(
  target: ElectricalTarget & { tolerance?: PhaseTolerance },
  velocityFactor: number,
): number | undefined {
  const { tolerance, frequencyHz } = target;
  switch (tolerance?.unit) {
    case undefined:
      return undefined;
    case 'deg':
      return tolerance.value;
    case 'mm':
      return (tolerance.value / 1000 / (velocityFactor * SPEED_OF_LIGHT)) * frequencyHz * 360;
    case 'ps':
      return tolerance.value * 1e-12 * frequencyHz * 360;
  }
}

/** What one piece may be off, degrees either way; in a set it has a quarter of what the set has. */
export function toleranceDegOf(
  target: ElectricalTarget & { tolerance?: PhaseTolerance },
  velocityFactor: number,
  inSet: boolean,
): number {
  const own = inDegrees(target, velocityFactor);
  return inSet ? (own ?? USUAL_SET_DEG) * SHARE_IN_SET : (own ?? USUAL_DEG);
}

/** Between the longest and the shortest piece of a set, degrees. */
export const setToleranceDeg = (
  target: ElectricalTarget & { tolerance?: PhaseTolerance },
  velocityFactor: number,
): number => inDegrees(target, velocityFactor) ?? USUAL_SET_DEG;
