export { dropIndex, movePiece, removePiece, turnPiece } from './edit/arrange.js';
export { dcShorts } from './design/dcShorts.js';
export { cableChoice } from './advise/cableChoice.js';
export type { CableChoice, CableMark, CableRow } from './advise/cableChoice.js';
export { antennaLoad } from './wave/antennaLoad.js';
export { applyChange, freshId, type Change } from './design/change.js';
export {
  AdapterPiece,
  AntennaPort,
  ArresterPiece,
  Assembly,
  Band,
  DESIGN_SCHEMA,
  Design,
  Leg,
  MOST_LOAD_POINTS,
  MeasuredLoad,
  MOST_BANDS,
  MOST_PIECES,
  RadioPort,
  SeriesLoad,
  Spot,
  Service,
} from './design/design.js';
export type { AnyPiece, End, Target } from './design/design.js';
export { evaluate, type EvaluateOptions } from './evaluate.js';
export { putMatch } from './edit/putMatch.js';
export { referenceOhmOf } from './design/reference.js';
export { insertPiece, type Insertable } from './edit/insert.js';
export { endMade, latestReading, logKinds, logged, noFacts, readingValue } from './facts/facts.js';
export type { Facts, LogEntry, LogKind, Reading } from './facts/facts.js';
export { EndRecord, recordWorks } from './facts/endRecord.js';
export { labelSheet, labelsOf, type Label } from './sheet/labels.js';
export { proposeRun, type RunWish } from './advise/propose.js';
export { checkReferences, readDesign } from './design/readDesign.js';
export type { EndSheet, JointSheet, PieceSheet, ProofSheet, Sheet, WrapSheet } from './sheet/sheet.js';
export { USUAL_NOISE_FIGURE_DB, type Reception } from './wave/reception.js';
export type { Remedy, Snag, SnagLevel } from './snags/snag.js';
export { runExpectations, type RunExpectation } from './advise/runExpectations.js';
export { rulerAt } from './wave/rulerAt.js';
export { layOut } from './wave/layout.js';
export { shorten, type Shortened } from './advise/shorten.js';
export type { Slack } from './facts/slack.js';
export { spreadOf, usualTolerances, type RunSpread, type Spread, type Tolerances } from './wave/spread.js';
export { snagRules } from './snags/index.js';
export { WORN_SHARE } from './snags/wornPort.js';
export { counted } from './stages/stageStates.js';
export { compareSheets, type SheetDifference } from './advise/compareSheets.js';
export { fitJoint } from './edit/fitJoint.js';
export { article, type Way } from './edit/waysToJoin.js';
export { stageIds, stageNames } from './stages/stages.js';
export type { Stage, StageId, StageState } from './stages/stages.js';
export { sweepFindings, type MeasuredSweep } from './wave/findings.js';
export {
  closedBy,
  farEndNames,
  farEnds,
  placeAt,
  placeOf,
  placedElements,
  predictSweep,
  type FarEndKind,
  type Place,
  type Swept,
} from './wave/predict.js';
export { withFaults, type LineFault } from './wave/faults.js';
export { PowerRecord } from './facts/powerRecord.js';
export { TrimRecord } from './facts/trimRecord.js';
export { piecesToCut, type PieceToCut, type RunOfJob } from './cutting/piecesToCut.js';
export { setMember } from './cutting/setMembers.js';
export { lotOf, trimGoalOf, trimReadings } from './cutting/trimming.js';
