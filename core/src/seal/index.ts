export { judgeTorque, type TorqueVerdict } from './judgeTorque.js';
export { dripLoop, type DripLoop } from './dripLoop.js';
export { inspectionDue, usualInspectionMonths } from './inspection.js';
export {
  tapedExposures,
  type SealLayer,
  type MaterialUse,
  type SealObject,
  type SealPlan,
  type SealStretch,
  type TapedExposure,
  type TapeLayer,
} from './plan.js';
export { passWords, sealNotes } from './notes.js';
export {
  closureSteps,
  layerText,
  sealSteps,
  type SealAsk,
  type SealStep,
  type SealWork,
} from './sealCard.js';
export { openingSteps } from './openingCard.js';
export {
  passesFor,
  sealSystem,
  sealSystemIds,
  sealSystems,
  type SealMethod,
  type SealSystem,
  type SealSystemId,
} from './systems/index.js';
export {
  growth,
  lapOf,
  passOver,
  stretchOf,
  tapeAdvances,
  tapeLaps,
  type ProfileStep,
  type TapeAdvance,
  type TapeLap,
  type TapeMethod,
  type TapeStretch,
} from './tape.js';
export {
  buriedInstructions,
  closure,
  closureIds,
  type Closure,
  type ClosureId,
  type ClosurePlan,
  type ClosureStep,
} from './closures/index.js';
export { sealWords, type SealWords } from './systems/words.js';
