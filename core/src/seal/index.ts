export { lapOf, passOver, passesFor, passWords, stretchOf, tapeLaps, thicker, wrapJoint } from './wrap.js';
export type { Pass, ProfileStep, TapedExposure, TapeLap, TapeSchool, TapeStretch, Wrap } from './wrap.js';
export { barePairInstructions, buriedInstructions, type HousingKind } from './withoutTape.js';
