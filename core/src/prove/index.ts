export { cardExpectation } from './cardReading.js';
export { expectations, judge } from './expectations.js';
export type { Expectation, ReadingJudgement, ReadingVerdict, Test } from './expectations.js';
export { bothEnds, judgePowerSteps, type BothEnds, type PowerStep } from './powerSteps.js';
export { unitDoubt, type UnitDoubt } from './unitDoubt.js';
export { MAX_TRACE_POINTS, readTouchstone, writeTouchstone, type ReadTrace } from './touchstone/index.js';
export { lossOneWay } from './lossOneWay.js';
export { magnitudes, portPairs, thinned, type PortPair, type Trace } from './trace.js';
export {
  delayAt,
  delayRuler,
  distanceAt,
  echoOf,
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
  nextTests,
  rankCauses,
  withPriors,
  type Cause,
  type CauseId,
  type Findings,
  type NextTest,
  type RankedCause,
  type TestId,
} from './causes.js';
