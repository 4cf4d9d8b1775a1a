export { dropIndex, movePiece, removePiece, turnPiece } from './arrange.js';
export { dcShorts } from './dcShorts.js';
export { cableChoice } from './cableChoice.js';
export type { CableChoice, CableMark, CableRow } from './cableChoice.js';
export { antennaLoad } from './antennaLoad.js';
export { applyChange, freshId, type Change } from './change.js';
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
} from './design.js';
export type { AnyPiece, End, Target } from './design.js';
export { evaluate, type EvaluateOptions } from './evaluate.js';
export { putMatch } from './putMatch.js';
export { referenceOhmOf } from './reference.js';
export { insertPiece, type Insertable } from './insert.js';
export { endMade, latestReading, logKinds, logged, noFacts, readingValue } from './facts.js';
export type { Facts, LogEntry, LogKind, Reading } from './facts.js';
export { EndRecord, recordWorks } from './endRecord.js';
export { CausePrior, Practice, REMAKE_M, defaultPractice, makeSchools } from './practice.js';
export { labelSheet, labelsOf, type Label } from './labels.js';
export { proposeRun, type RunWish } from './propose.js';
export { checkReferences, readDesign } from './readDesign.js';
export type { EndSheet, JointSheet, PieceSheet, ProofSheet, Sheet, WrapSheet } from './sheet.js';
export { USUAL_NOISE_FIGURE_DB, type Reception } from './reception.js';
export type { Remedy, Snag, SnagLevel } from './snag.js';
export { runExpectations, type RunExpectation } from './runExpectations.js';
export { rulerAt } from './rulerAt.js';
export { layOut } from './layout.js';
export { shorten, type Shortened } from './shorten.js';
export type { Slack } from './slack.js';
export { spreadOf, usualTolerances, type RunSpread, type Spread, type Tolerances } from './spread.js';
export { snagRules } from './snags/index.js';
export { WORN_SHARE } from './snags/wornPort.js';
export { counted } from './stageStates.js';
export { compareSheets, type SheetDifference } from './compareSheets.js';
export { fitJoint } from './fitJoint.js';
export { article, type Way } from './waysToJoin.js';
export { stageIds, stageNames } from './stages.js';
export type { Stage, StageId, StageState } from './stages.js';
export { sweepFindings, type MeasuredSweep } from './sweepFindings.js';
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
} from './sweptRun.js';
export { withFaults, type LineFault } from './lineFaults.js';
export { PowerRecord } from './powerRecord.js';
export { TrimRecord } from './trimRecord.js';
export { piecesToCut, type PieceToCut, type RunOfJob } from './wantedPieces.js';
export { setMember } from './setMembers.js';
export { lotOf, trimGoalOf, trimReadings } from './trimming.js';
