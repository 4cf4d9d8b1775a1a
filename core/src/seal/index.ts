export { passOver, passesFor, stretchOf, thicker, wrapJoint } from './wrap.js';
export type { Exposure, Pass, ProfileStep, TapeStretch, Wrap } from './wrap.js';
