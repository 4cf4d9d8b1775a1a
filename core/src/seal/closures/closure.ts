import type { Figure } from '../../quantity/index.js';
import type { MaterialUse } from '../plan.js';
import type { ProfileStep } from '../tape.js';

/** What closes a joint which no layer of tape and no sleeve seals: in the ground, or over a bare pair. */
export const closureIds = ['pit', 'box', 'splice', 'potted pair'] as const;
export type ClosureId = (typeof closureIds)[number];

/** One step of closing it, after it is proved, dry, warm and clean. */
export interface ClosureStep {
  title: string;
  text: string;
  caution?: string;
}

/** The closing of one joint. */
export interface ClosurePlan {
  materials: MaterialUse[];
  minutes: Figure;
  /** In the coldest air that its materials allow, °C. */
  lowestC: number;
  /** How its conductors are joined, where no coupling is tightened. */
  joined?: string;
  steps: ClosureStep[];
}

/** One way to close a joint without layers: a file, and a line in the list. */
export interface Closure {
  id: ClosureId;
  name: string;
  /** @param profile of the joint, from the lower jacket to the upper one; nothing where none of its sizes takes that */
  plan: (profile: readonly ProfileStep[]) => ClosurePlan | undefined;
}

/** Volume of a stepped joint, m³. */
export const volumeOf = (profile: readonly ProfileStep[]): number =>
  profile.reduce((sum, { lengthM, diameterM }) => sum + (Math.PI / 4) * diameterM ** 2 * lengthM, 0);

export const lengthOf = (profile: readonly ProfileStep[]): number =>
  profile.reduce((sum, { lengthM }) => sum + lengthM, 0);

export const widestOf = (profile: readonly ProfileStep[]): number =>
  Math.max(...profile.map(({ diameterM }) => diameterM));
