export { passOver, passesFor, stretchOf, thicker, wrapJoint } from './wrap.js';
export type { Pass, ProfileStep, TapedExposure, TapeStretch, Wrap } from './wrap.js';
export { barePairInstructions, buriedInstructions, type HousingKind } from './withoutTape.js';
