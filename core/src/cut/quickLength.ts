import { figure, type Figure } from '../quantity/index.js';
import { compareSchools, physicalLengthM, type ElectricalTarget } from './electricalLength.js';
import { oddQuartersThatReach } from './matching/twelfthWave.js';

/** A length of cable by itself, without any run. */
export interface QuickLength {
  /** Speed of light times velocity factor. */
  exact: Figure;
  /** By the 468 shop constant. */
  shop: Figure;
  differenceDeg: number;
  /** To cut first, so that it can be trimmed down: longer by what the velocity factor may be off. */
  firstCut: Figure;
  /** A half wave in free space, m: what both constants start from. */
  halfWaveM: number;
  /** The shortest odd number of quarter waves that reaches. */
  reach?: { quarters: number; length: Figure };
}

/** A first cut is longer by this at least, m. Common practice, no source. */
const LEAST_LONG_M = 0.025;

/**
 * Length of cable with an electrical length, both constants side by side.
 *
 * @param cable velocity factor, 0..1, and by what share it may be off either way
 * @param reachM the distance it has to reach, when an odd number of quarter waves will do, m
 * @example quickLength({ frequencyHz: 27.2e6, degrees: 90 }, { velocityFactor: 0.695, share: 0.015 }).exact.value // 1.915
 */
export function quickLength(
  target: ElectricalTarget,
  { velocityFactor, share }: { velocityFactor: number; share: number },
  reachM?: number,
): QuickLength {
  const { exactM, shopM, differenceDeg } = compareSchools(target, velocityFactor);
  const quarterM = physicalLengthM({ ...target, degrees: 90 }, velocityFactor);
  const exactSource = 'VF·c/f·degrees/360 (c by definition of the SI)';
  const reach = reachM === undefined ? undefined : oddQuartersThatReach(reachM, quarterM);
  return {
    exact: figure(exactM, 'cut', exactSource, exactM * share),
    shop: figure(shopM, 'cut', '468/f(MHz) ft per half wave · VF, common practice', shopM * share),
    differenceDeg,
    firstCut: figure(
      exactM + Math.max(LEAST_LONG_M, exactM * share),
      'cut',
      'exact, and longer by what the velocity factor may be off: a cable cannot be cut longer',
    ),
    halfWaveM: physicalLengthM({ ...target, degrees: 180 }, 1),
    ...(reach && {
      reach: {
        quarters: reach.quarters,
        length: figure(reach.lengthM, 'cut', exactSource, reach.lengthM * share),
      },
    }),
  };
}
