import type { Design } from '../design/design.js';
import { endIdsOf } from '../design/ids.js';
import { assembliesOf } from '../design/lookups.js';
import { isEndMade } from './facts.js';
import type { Facts } from './kinds.js';
import { REMAKE_M, type Practice } from '../../practice/index.js';

/** How much cable a run has beyond its route, and what it is good for. Lengths in m. */
export interface Slack {
  /** Beyond the legs, their loops and the turns of a choke; negative when the run does not reach. */
  spareM: number;
  /** Kept for ends which are still to be made. */
  reservedM: number;
  endsToMake: number;
  /** Ends which can still be made again before the loops are touched. */
  remakes: number;
  /** And when the loops are given up. */
  remakesWithLoops: number;
}

/**
 * What the slack of a run still covers.
 *
 * @param totalM length of all pieces, m
 * @returns nothing for a run without legs, which has nothing to reach
 * Source: sum of the legs; one re-make costs {@link REMAKE_M} (common practice).
 */
export function slackOf(design: Design, totalM: number, practice: Practice, facts: Facts): Slack | undefined {
  if (design.legs.length === 0) return undefined;
  const legsM = design.legs.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const loopsM = design.legs.reduce((sum, { slackM }) => sum + slackM, 0);
  const endsToMake = openEnds(design, facts);
  const woundM = assembliesOf(design).reduce((sum, piece) => sum + (piece.woundM ?? 0), 0);
  const spareM = totalM - legsM - loopsM - woundM;
  const times = (metres: number): number => Math.max(0, Math.floor(metres / REMAKE_M + 1e-6));
  return {
    spareM,
    reservedM: practice.remakesPerEnd * REMAKE_M * Math.min(2, endsToMake),
    endsToMake,
    remakes: times(spareM),
    remakesWithLoops: times(spareM + loopsM),
  };
}

const openEnds = (design: Design, facts: Facts): number =>
  assembliesOf(design)
    .flatMap(({ id }) => endIdsOf(id))
    .filter((id) => !isEndMade(facts, id)).length;
