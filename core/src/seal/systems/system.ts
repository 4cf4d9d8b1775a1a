import type { Sleeve, Tape, TapeRole } from '../../catalog/index.js';
import type { SealObject, SealPlan, TapedExposure } from '../plan.js';
import type { TapeAdvance, TapeLap, TapeStretch } from '../tape.js';

export const sealSystemIds = [
  'rubber and vinyl',
  'mastic',
  'cold shrink',
  'adhesive shrink',
  'gel boot',
] as const;
export type SealSystemId = (typeof sealSystemIds)[number];

/** How the shop seals, and with what from its shelf. */
export interface SealMethod {
  stretch: TapeStretch;
  lap: TapeLap;
  advance: TapeAdvance;
  /** Passes of rubber wherever it is; nothing where the place decides. */
  passes: number | undefined;
  /** First of all a layer of vinyl, sticky side out, so that the seal comes off again. */
  courtesy: boolean;
  /** What lies on the shelf for each role. */
  tapes: Record<TapeRole, Tape>;
  /** Sleeves and boots that can be had. */
  sleeves: readonly Sleeve[];
}

/** One system of sealing a joint: a file, and a line in the list. */
export interface SealSystem {
  id: SealSystemId;
  name: string;
  /** Where it may be used. */
  places: readonly TapedExposure[];
  /** Has to be on the cable before the joint is made. */
  slidOnBefore: boolean;
  /** Years it is trusted for outdoors. Common practice, no source. */
  years: number;
  /** The layers; nothing where none of its sizes fits. */
  plan: (object: SealObject, method: SealMethod) => SealPlan | undefined;
}

/** The smallest sleeve of a kind which passes over the joint, holds both jackets and runs out on them. */
export function fittingSleeve(
  all: readonly Sleeve[],
  kind: Sleeve['kind'],
  { joint, jackets }: SealObject,
): Sleeve | undefined {
  const widestMm =
    Math.max(...joint.map(({ diameterM }) => diameterM), jackets.lowerM, jackets.upperM) * 1000;
  const thinnestMm = Math.min(jackets.lowerM, jackets.upperM) * 1000;
  const jointMm = joint.reduce((sum, { lengthM }) => sum + lengthM, 0) * 1000;
  return all
    .filter(
      (one) =>
        one.kind === kind &&
        one.openMm >= widestMm &&
        one.closedMm <= thinnestMm &&
        one.lengthMm * one.keeps >= jointMm + 2 * LEAST_RUN_OUT_MM,
    )
    .sort((x, y) => x.openMm - y.openMm)
    .at(0);
}

/** A sleeve holds this much of each jacket at least, mm. Common practice, no source. */
const LEAST_RUN_OUT_MM = 20;

/** Vinyl is put on with light tension, half lapped. Common practice, no source. */
export const vinylMethod = { stretch: 1.05, lap: 1 / 2 };

export const widthM = (tape: Tape): number => tape.widthMm / 1000;
