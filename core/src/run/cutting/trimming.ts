import { entry, velocityToleranceOf, type Cable, type Catalog, type Part } from '../../catalog/index.js';
import {
  delayOfResonance,
  learnLot,
  toleranceDegOf,
  type LearnedLot,
  type TrimGoal,
  type TrimReading,
} from '../../cut/index.js';
import { stripGauge } from '../../make/index.js';
import { SPEED_OF_LIGHT } from '../../line/index.js';
import type { Assembly } from '../design/design.js';
import { factsOf } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';
import type { TrimRecord } from '../facts/trimmed.js';

/** What makers print differs by the tolerance of the dielectric, taken as three standard deviations. */
const SHEET_SIGMAS = 3;

/** A lot which is not as it is named may have any velocity factor: what its sheet says counts for nothing, share. */
const UNNAMED_SHARE = 0.2;

/** A reading with the run and the piece it was taken of. */
interface TrimOfPiece extends TrimRecord {
  runId: string;
  about: string;
}

/**
 * What other pieces have taught: readings of this piece itself are fitted by its coach, and would count twice. A piece is named by its run too, since
 * every run has its `main`.
 */
export const trimsOfOthers = <One extends TrimOfPiece>(
  all: readonly One[],
  runId: string,
  pieceId: string,
): One[] => all.filter((one) => one.runId !== runId || one.about !== pieceId || one.notAsNamed);

/** What the readings of a lot have taught, the data sheet's own velocity factor where there are none. */
export function lotOf(
  records: readonly TrimRecord[],
  cableId: string,
  lot: string,
  catalog: Catalog,
): LearnedLot {
  const cable = entry(catalog.cables, cableId);
  const own = records.filter((one) => one.cable === cableId && one.lot === lot && lot !== '');
  const readings = own.map((one, k) => ({
    piece: `reading ${k + 1}`,
    lengthM: one.lengthM,
    delayS: delayOfResonance(one) - one.nearS,
  }));
  const asNamed = own.every(({ notAsNamed }) => !notAsNamed);
  return learnLot(readings, {
    velocityFactor: cable.velocityFactor,
    sigma: cable.velocityFactor * (asNamed ? velocityToleranceOf(cable) / SHEET_SIGMAS : UNNAMED_SHARE),
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
    // Of the cable from cut to cut, the bare conductor lies in the connector and is counted with it.
    return line - bareM(part, cable) / (lot.velocityFactor * SPEED_OF_LIGHT);
  };
  return {
    ...piece.target,
    nearS: endS(piece.a.part),
    toComeS: endS(piece.b.part),
    velocityFactor: lot.velocityFactor,
    velocitySigma: lot.sigma,
    toleranceDeg: toleranceDegOf(piece.target, cable.velocityFactor, piece.set !== undefined),
  };
}

/** Conductor which is stripped bare and lies in the connector, m. */
function bareM(part: Part, cable: Cable): number {
  const [first] = stripGauge(part, cable).stretches;
  return first.layer === 'centre' ? first.lengthMm / 1000 : 0;
}

/** Readings of one piece in the order in which they were taken, since it was last begun. */
export const trimReadings = (facts: Facts, pieceId: string): TrimReading[] =>
  factsOf(facts, 'trimmed')
    .filter((one) => one.pieceId === pieceId)
    .map(({ trim }) => trim);
