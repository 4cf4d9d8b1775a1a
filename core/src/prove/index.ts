export { cardExpectation } from './cardReading.js';
export { resistanceToneHz, resonanceToneHz, TARGET_TONE_HZ } from './readingTone.js';
export { expectations, judge } from './expectations.js';
export type { Expectation, OhmMeter, ReadingJudgement, ReadingVerdict, Test } from './expectations.js';
export {
  bothEnds,
  metersDifferenceDb,
  type ExpectedLoss,
  judgePowerSteps,
  type BothEnds,
  type PowerStep,
  lossReadOf,
  correctedLossDb,
  firstStepW,
} from './powerSteps.js';
export { unitDoubt, type UnitDoubt } from './unitDoubt.js';
export { MAX_TRACE_POINTS, readTouchstone, writeTouchstone, type ReadTrace } from './touchstone/index.js';
export { lossOneWay } from './lossOneWay.js';
export { magnitudes, portPairs, thinned, type PortPair, type Trace } from './trace.js';
export {
  delayAt,
  delayRuler,
  distanceAt,
  echoOf,
  MAX_CORRECTION_DB,
  vertex,
  echoPeaks,
  gated,
  isUnexpected,
  kaiser,
  lossAt,
  metresOf,
  onRuler,
  type DelayRuler,
  type DelayStretch,
  type Echo,
  type EchoPeak,
} from './echo.js';
export {
  driftOf,
  judgeSweep,
  lossFromReflection,
  lossMarginDb,
  phaseDriftOf,
  returnLossLimitDb,
  type Drift,
  type SweepFigures,
  type SweepJudgement,
} from './sweepVerdict.js';
export {
  causeIds,
  causeTests,
  causes,
  type Cause,
  type CauseId,
  type Findings,
  type TestId,
} from './causes.js';
export {
  causesOf,
  nextTests,
  rankCauses,
  withPriors,
  type Measured,
  type NextTest,
  type RankedCause,
} from './rankCauses.js';
export { renormalised } from './renormalise.js';
export { cableFromSweeps, unknownCable, type UnknownCable } from './unknownCable.js';
export {
  powerDetective,
  type ExcessKind,
  type ExcessRead,
  type LossRead,
  type PowerDetective,
} from './powerDetective.js';
export { latticeEchoes, riseTimeS, type LatticeEcho, type Step as ImpedanceStep } from './lattice.js';
