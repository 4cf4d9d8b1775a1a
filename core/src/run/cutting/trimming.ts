import { entry, type Catalog } from '../../catalog/index.js';
import {
  PHASE_TOLERANCE_DEG,
  VELOCITY_TOLERANCE,
  cutEndBehindPlaneM,
  delayOfResonance,
  learnLot,
  type LearnedLot,
  type TrimGoal,
  type TrimReading,
} from '../../cut/index.js';
import { SPEED_OF_LIGHT } from '../../line/index.js';
import type { Assembly } from '../design/design.js';
import { factsOf } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';
import type { TrimRecord } from '../facts/trimmed.js';

/** Data sheets are good to ± 1.5 %, taken as three standard deviations. */
const SHEET_SIGMAS = 3;

/** What the readings of a lot have taught, the data sheet's own velocity factor where there are none. */
export function lotOf(
  records: readonly TrimRecord[],
  cableId: string,
  lot: string,
  catalog: Catalog,
): LearnedLot {
  const { velocityFactor } = entry(catalog.cables, cableId);
  const readings = records
    .filter((one) => one.cable === cableId && one.lot === lot && lot !== '')
    .map((one, k) => ({
      piece: `reading ${k + 1}`,
      lengthM: one.lengthM,
      delayS: delayOfResonance(one) - one.nearS,
    }));
  return learnLot(readings, {
    velocityFactor,
    sigma: (velocityFactor * VELOCITY_TOLERANCE) / SHEET_SIGMAS,
  });
}

/**
 * What a piece with an electrical target is trimmed to, its first connector on and the second still to come.
 *
 * @returns nothing for a piece whose length is not electrical
 */
export function trimGoalOf(piece: Assembly, catalog: Catalog, lot: LearnedLot): TrimGoal | undefined {
  if (!piece.target) return undefined;
  const cable = entry(catalog.cables, piece.cable);
  const endS = (partId: string): number => {
    const part = entry(catalog.parts, partId);
    const line = part.electricalMm / 1000 / SPEED_OF_LIGHT;
    return line + cutEndBehindPlaneM(part, cable) / (lot.velocityFactor * SPEED_OF_LIGHT);
  };
  return {
    ...piece.target,
    nearS: Math.max(0, endS(piece.a.part)),
    toComeS: endS(piece.b.part),
    velocityFactor: lot.velocityFactor,
    velocitySigma: lot.sigma,
    toleranceDeg: PHASE_TOLERANCE_DEG,
  };
}

/** Readings of one piece in the order in which they were taken, since it was last begun. */
export const trimReadings = (facts: Facts, pieceId: string): TrimReading[] =>
  factsOf(facts, 'trimmed')
    .filter((one) => one.pieceId === pieceId)
    .map(({ trim }) => trim);
