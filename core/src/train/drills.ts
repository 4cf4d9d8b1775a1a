import {
  assemblyDrills,
  asksAssembly,
  nextAssembly,
  type AssemblyDrill,
  type AssemblyQuestion,
} from './assemblyDrill.js';
import { asksBlade, nextBlade } from './bladeDrill.js';
import { faceDrills, nextFace, type FaceDrill, type FaceQuestion } from './faceDrill.js';
import type { DrillScore, Question } from './question.js';
import { nextReading } from './readingDrill.js';
import { nextSeal } from './sealDrill.js';
import type { DrillSetting } from './setting.js';
import type { Subjects } from './subjects.js';

export const drillKinds = [...faceDrills, ...assemblyDrills, 'blade', 'reading', 'seal'] as const;
export type DrillKind = (typeof drillKinds)[number];

const isFace = (kind: DrillKind): kind is FaceDrill => faceDrills.some((one) => one === kind);
const isAssembly = (kind: DrillKind): kind is AssemblyDrill => assemblyDrills.some((one) => one === kind);

/** The drills which have something to ask of these subjects. */
export const drillsOf = ({ ends }: Subjects): DrillKind[] =>
  drillKinds.filter((kind) => {
    if (isAssembly(kind)) return asksAssembly(kind, ends);
    return kind !== 'blade' || asksBlade(ends);
  });

/**
 * The next question of a drill; what was missed comes back sooner.
 *
 * @param seed any whole number; the same seed, setting and score give the same question
 */
export function nextQuestion(
  kind: DrillKind,
  setting: DrillSetting,
  score: DrillScore,
  seed: number,
): FaceQuestion | AssemblyQuestion | Question {
  if (isFace(kind)) return nextFace(kind, setting, score, seed);
  if (isAssembly(kind)) return nextAssembly(kind, setting, score, seed);
  return { blade: nextBlade, reading: nextReading, seal: nextSeal }[kind](setting, score, seed);
}
