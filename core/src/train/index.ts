export type { AssemblyQuestion } from './assemblyDrill.js';
export { drillKinds, drillsOf, nextQuestion, type DrillKind } from './drills.js';
export type { FaceQuestion } from './faceDrill.js';
export { scored, type DrillScore, type Option, type Question } from './question.js';
export type { DrillSetting } from './setting.js';
export { allSubjects, ownSubjects, type Subjects } from './subjects.js';
