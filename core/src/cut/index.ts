export { setToleranceDeg, toleranceDegOf, toleranceUnits, type PhaseTolerance } from './tolerance.js';
export {
  SHOP_CONSTANT_FT_MHZ,
  compareSchools,
  electricalDegrees,
  physicalLengthM,
  shopLengthM,
} from './electricalLength.js';
export type { ElectricalTarget, Schools } from './electricalLength.js';
export { CALM_SWR, cutEndBehindPlaneM, cutSheet, finishedLengthM, type CutSheet } from './cutLength.js';
export { parseTolerance } from './parseTolerance.js';
export { parseElectrical } from './parseElectrical.js';
export { setSpread, type SetMember, type SetSpread } from './matchedSet.js';
export { resonancesOf } from './resonances.js';
export { learnLot, lotVelocity, type LearnedLot, type LotReading } from './lots.js';
export {
  CUT_SIGMA_M,
  READING_SIGMA,
  delayOfResonance,
  firstCut,
  fitTrim,
  nextCut,
  resonanceOfDelay,
  velocityOfDoubts,
  wantedS,
  type FarEnd,
  type Residual,
  type TrimAdvice,
  type TrimFit,
  type TrimGoal,
  type TrimReading,
} from './trimCoach.js';
export * from './plan/index.js';
export * from './matching/index.js';
export { quickLength, type QuickLength } from './quickLength.js';
