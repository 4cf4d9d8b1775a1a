import type { Cable, Part } from '../catalog/index.js';
import { stripGauge } from '../make/stripGauge.js';
import { figure, type Figure } from '../quantity/index.js';
import {
  compareSchools,
  electricalDegrees,
  type ElectricalTarget,
  type Schools,
} from './electricalLength.js';

/** Everything a cutter needs for one assembly. */
export interface CutSheet {
  /** Between the reference planes of the two finished ends. */
  finished: Figure;
  /** What to take off the reel: square cut to square cut, with the first-cut allowance where length is electrical. */
  cut: Figure;
  /** Where the finished length is measured from and to. */
  planes: string;
  /** Is the length of this piece electrical, and the answer of each school. */
  electrical?: Schools & { target: ElectricalTarget; longFirstM: number; connectorsM: number };
  /** Why length matters here or does not. */
  why: string;
  /** Electrical length as it stands, degrees at the highest frequency in use. */
  degrees: Figure;
}

/** Data sheets give velocity factor to about this share. Handbook practice: ±1 to 2 %. */
export const VELOCITY_TOLERANCE = 0.015;

/** Cable that lies beyond the square cuts' distance: how far the cut end is behind (+) or proud of (−) the reference plane, m. */
export function cutEndBehindPlaneM(part: Part, cable: Cable): number {
  const { jacketCutMm } = stripGauge(part, cable);
  return (part.jacketToPlaneMm - jacketCutMm) / 1000;
}

export interface CutInput {
  cable: Cable;
  ends: [Part, Part];
  /** Finished length in the design, m. */
  lengthM: number;
  target?: ElectricalTarget;
  school: 'exact' | 'shop';
  /** Highest frequency in use, Hz. */
  frequencyHz: number;
}

/**
 * The cut length of an assembly, and whether its length matters.
 *
 * With an electrical target the connectors' own lengths are subtracted, and the first cut is long by the
 * uncertainty of the velocity factor, because a cable cannot be cut longer.
 */
export function cutSheet({ cable, ends, lengthM, target, school, frequencyHz }: CutInput): CutSheet {
  const behindM = ends.reduce((sum, part) => sum + cutEndBehindPlaneM(part, cable), 0);
  const planes = `from the ${ends[0].referencePlane} of one end to the ${ends[1].referencePlane} of the other`;
  const connectorsM = connectorElectricalM(ends);
  const degrees = figure(
    electricalDegrees(lengthM, frequencyHz, cable.velocityFactor),
    'deg',
    'β·length with the data sheet’s velocity factor',
    electricalDegrees(lengthM, frequencyHz, cable.velocityFactor) * VELOCITY_TOLERANCE,
  );
  if (!target) {
    return {
      finished: figure(lengthM, 'cut', 'the design', 0.005),
      cut: figure(
        lengthM - behindM,
        'cut',
        'finished length less what the connectors add beyond the cable’s ends',
        0.005,
      ),
      planes,
      degrees,
      why: 'Length does not matter here: the run is matched, so it only costs loss. Cut to reach.',
    };
  }
  const schools = compareSchools(target, cable.velocityFactor);
  const wantedM = school === 'exact' ? schools.exactM : schools.shopM;
  const finishedM = wantedM - connectorsM * cable.velocityFactor;
  const longFirstM = Math.max(0.025, finishedM * VELOCITY_TOLERANCE);
  return {
    finished: figure(
      finishedM,
      'cut',
      school === 'exact'
        ? 'VF·c/f·degrees/360 less the connectors'
        : '468/f(MHz) ft · VF less the connectors',
      wantedM * VELOCITY_TOLERANCE,
    ),
    cut: figure(
      finishedM - behindM + longFirstM,
      'cut',
      'finished length, ends, and long by the velocity factor’s tolerance: trim down to it',
      0.002,
    ),
    planes,
    degrees,
    electrical: { ...schools, target, longFirstM, connectorsM },
    why: `Length is phase here: ${target.degrees.toFixed(0)}° at ${(target.frequencyHz / 1e6).toFixed(3)} MHz is asked for.`,
  };
}

/** Electrical length of both connectors, m of free-space line. */
const connectorElectricalM = (ends: [Part, Part]): number =>
  (ends[0].electricalMm + ends[1].electricalMm) / 1000;
