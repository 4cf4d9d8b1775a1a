import { figure, type Figure } from '../quantity/index.js';

/** A loop is no shallower than this, m: a drop as large as a thumb still falls off its lowest point. Common practice, no source. */
const LEAST_DEPTH_M = 0.1;

/** The loop below a joint, at whose lowest point water drips off. */
export interface DripLoop {
  /** Its lowest point below the joint. */
  depth: Figure;
  /** More cable than straight on. */
  extra: Figure;
}

/**
 * The drip loop of a cable: half a circle of the radius in which it may rest, or of 100 mm.
 *
 * @param bendOnceMm the tightest radius in which the cable may rest, mm
 * @example dripLoop(130).depth.value // 0.13
 */
export function dripLoop(bendOnceMm: number): DripLoop {
  const radiusM = Math.max(LEAST_DEPTH_M, bendOnceMm / 1000);
  return {
    depth: figure(radiusM, 'mm', 'bend radius of the cable at rest, 100 mm at least'),
    extra: figure((Math.PI - 2) * radiusM, 'mm', 'half a circle instead of its width'),
  };
}
