import type { Change } from './change.js';
import type { StageId } from './stageId.js';

/** A way to mend a problem, applied with one action: a change of the design, or the stage where the work is done. */
export interface Remedy {
  title: string;
  /** What it costs: joints, minutes, decibels. */
  detail: string;
  changes: Change[];
  open?: StageId;
}
