import { entry, type Catalog } from '../../catalog/index.js';
import { CUT_SIGMA_M, READING_SIGMA, delayOfResonance, type SetMember } from '../../cut/index.js';
import { SPEED_OF_LIGHT } from '../../line/index.js';
import type { Assembly } from '../design/design.js';
import type { Facts } from '../facts/kinds.js';
import { lotOf, trimGoalOf, trimReadings } from './trimming.js';

/**
 * A piece as a member of its set, from its last resonance; what is still to come on its far end is counted in.
 *
 * @returns nothing for a piece that was not read yet, or whose length is not electrical
 */
export function setMember(piece: Assembly, facts: Facts, catalog: Catalog): SetMember | undefined {
  const last = trimReadings(facts, piece.id).at(-1);
  const cable = entry(catalog.cables, piece.cable);
  const goal = trimGoalOf(piece, catalog, lotOf([], piece.cable, piece.lot ?? '', catalog));
  if (!last || !goal) return undefined;
  const read = delayOfResonance(last);
  return {
    name: piece.label,
    cable,
    lot: piece.lot ?? '',
    delayS: read + goal.toComeS,
    sigmaS: Math.hypot(read * READING_SIGMA, CUT_SIGMA_M / (cable.velocityFactor * SPEED_OF_LIGHT)),
  };
}
