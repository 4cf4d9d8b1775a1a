export { bookPlan, type Booking } from './bookPlan.js';
export {
  cuttingPlan,
  usualPlan,
  type CablePlan,
  type CuttingPlan,
  type Met,
  type PlanLimits,
  type PlanProgress,
  type PlannedSpan,
} from './cuttingPlan.js';
export { SAW_M, soundSpans, type Source, type Span, type WantedPiece } from './stock.js';
export { aims, type Aim } from './program.js';
