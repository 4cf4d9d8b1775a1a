import { stopToPlaneMm, velocityToleranceOf, type Cable, type Part } from '../catalog/index.js';
import { stripGauge } from '../make/stripGauge.js';
import { figure, type Figure } from '../quantity/index.js';
import {
  compareSchools,
  electricalDegrees,
  physicalLengthM,
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
  /** SWR on this piece: where it is low, its length only costs loss. */
  swr: number;
  /** Highest frequency in use, Hz. */
  frequencyHz: number;
}

/** Below this SWR a length changes nothing that a radio or a person would notice. Common practice, no source. */
export const CALM_SWR = 1.2;

/** Why the length of a piece without a target matters, or does not. */
function whyLength(swr: number): string {
  const at = `the SWR on it is ${swr.toFixed(swr < 10 ? 1 : 0)}`;
  return swr <= CALM_SWR
    ? `Length does not matter here: ${at}, so it only costs loss. Cut to reach.`
    : `Cut to reach. Since ${at}, another length shows the radio another impedance of the same SWR; the loss hardly moves.`;
}

/**
 * The cut length of an assembly, and whether its length matters.
 *
 * With an electrical target the connectors' own lengths are subtracted, and the first cut is long by the
 * uncertainty of the velocity factor, because a cable cannot be cut longer.
 */
export function cutSheet(input: CutInput): CutSheet {
  const { cable, ends, lengthM, target, school, frequencyHz, swr } = input;
  const tolerance = velocityToleranceOf(cable);
  const behindM = ends.reduce((sum, part) => sum + cutEndBehindPlaneM(part, cable), 0);
  const planes = `from the ${ends[0].referencePlane} of one end to the ${ends[1].referencePlane} of the other`;
  const connectorsM = connectorElectricalM(ends);
  const degrees = figure(
    electricalDegrees(lengthM, frequencyHz, cable.velocityFactor),
    'deg',
    'β·length with the data sheet’s velocity factor',
    electricalDegrees(lengthM, frequencyHz, cable.velocityFactor) * tolerance,
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
      why: whyLength(swr),
    };
  }
  const schools = compareSchools(target, cable.velocityFactor);
  const wantedM = school === 'exact' ? schools.exactM : schools.shopM;
  const finishedM =
    school === 'exact'
      ? finishedLengthM(target, ends, cable)
      : wantedM - schools.exactM + finishedLengthM(target, ends, cable);
  // By the shop constant a cable comes out short: the first cut is long by that too.
  const longFirstM = Math.max(0.025, finishedM * tolerance) + (school === 'shop' ? schools.differenceM : 0);
  return {
    finished: figure(
      finishedM,
      'cut',
      school === 'exact'
        ? 'VF·c/f·degrees/360, the connectors’ own lines counted once'
        : '468/f(MHz) ft · VF, the connectors’ own lines counted once',
      wantedM * tolerance,
    ),
    cut: figure(
      finishedM - behindM + longFirstM,
      'cut',
      school === 'exact'
        ? 'finished length, ends, and long by the velocity factor’s tolerance: trim down to it'
        : 'finished length, ends, long by the velocity factor’s tolerance and by the 4.8 % which 468 leaves out for a cable: trim down to it',
      0.002,
    ),
    planes,
    degrees,
    electrical: { ...schools, target, longFirstM, connectorsM },
    why: `Cut to electrical length: ${target.degrees.toFixed(0)}° at ${(target.frequencyHz / 1e6).toFixed(3)} MHz is asked for.`,
  };
}

/**
 * Finished length, plane to plane, of a piece with this electrical length, m: cable between the two dielectric stops, and the connectors from
 * there to their planes, each counted once.
 */
export function finishedLengthM(target: ElectricalTarget, ends: readonly [Part, Part], cable: Cable): number {
  const inEndsM = (stopToPlaneMm(ends[0]) + stopToPlaneMm(ends[1])) / 1000;
  const cableM =
    physicalLengthM(target, cable.velocityFactor) - connectorElectricalM(ends) * cable.velocityFactor;
  return Math.max(0.02, cableM + inEndsM);
}

/** Electrical length of both connectors, m of free-space line. */
const connectorElectricalM = (ends: readonly [Part, Part]): number =>
  (ends[0].electricalMm + ends[1].electricalMm) / 1000;
