export { dropIndex, movePiece, removePiece, turnPiece } from './edit/arrange.js';
export { dcShorts } from './design/dcShorts.js';
export { cableChoice } from './advise/cableChoice.js';
export type { CableChoice, CableMark, CableRow } from './advise/cableChoice.js';
export { antennaLoad } from './wave/antennaLoad.js';
export { freshBandName } from './design/bandNames.js';
export { applyChange, freshId, type Change } from './design/change.js';
export {
  DESIGN_SCHEMA,
  housingKinds,
  MAX_BANDS,
  MAX_LEGS,
  MAX_LOAD_POINTS,
  MAX_PIECES,
  slackCauses,
  usualSlackM,
} from './design/design.js';
export type {
  AdapterPiece,
  AntennaPort,
  ArresterPiece,
  Assembly,
  Band,
  Design,
  Hang,
  Housing,
  JointSeal,
  Leg,
  MeasuredLoad,
  Piece,
  Preamplifier,
  RadioPort,
  RouteStep,
  SeriesLoad,
  Service,
  SlackCause,
  Spot,
  WaySlack,
} from './design/design.js';
export type { AnyPiece, End, Target } from './design/design.js';
export { signOffProblem } from './stages/index.js';
export * from './log/index.js';
export * from './visit/index.js';
export {
  looksOf,
  peopleOf,
  runSummary,
  searchWords,
  wordsIn,
  type LineShape,
  type Look,
  type RunSummary,
} from './summary/runSummary.js';
export { evaluate, type Sheet } from './evaluate.js';
export type { RunState } from './runState.js';
export { duties, dutyIdOf, type DutyId } from './design/duty.js';
export { putMatch } from './edit/putMatch.js';
export { referenceOhmOf } from './design/reference.js';
export { insertPiece, type Insertable } from './edit/insert.js';
export {
  factAbout,
  factsOf,
  isCut,
  isEndMade,
  latestReading,
  newest,
  noFacts,
  sealOf,
} from './facts/facts.js';
export { MAX_PHOTOS_OF_PLACE, photosOf, type KeptPhoto } from './facts/photos.js';
export { placeNames } from './sheet/placeNames.js';
export { aboutOf, factKinds, factText } from './facts/kinds.js';
export type { Fact, FactBody, FactKindId, FactOf, Facts } from './facts/kinds.js';
export { endWorks, type EndRecord, type EndWork, type PieceOfBatch } from './facts/endRecord.js';
export { tubeReasons, type TubeReason } from './facts/tubeChecked.js';
export { openedFinds, type OpenedFind } from './facts/opened.js';
export type { TaskEnd } from './facts/taskBegun.js';
export { tubeHistory, type TubeHistory } from './facts/tubeHistory.js';
export { runReadingIds, type RunReadingId } from './facts/runReading.js';
export { readingValue, type ReadingTaken } from './facts/reading.js';
export type { TrimRecord } from './facts/trimmed.js';
export { batchEndId, endId, endIdsOf, endSides, jointId, otherSide, readBatchEndId } from './design/ids.js';
export type { EndSide } from './design/ids.js';
export {
  arrestersOf,
  assembliesOf,
  assemblyOf,
  findAssembly,
  isReceiveOnly,
  longestAssembly,
  lowHzOf,
  topHzOf,
} from './design/lookups.js';
export { judgeEcho, type EchoVerdict, type JudgedPeak } from './wave/echoVerdict.js';
export { driftFinding, powerFinding, readingFindings } from './advise/readingFindings.js';
export {
  labelForms,
  labelSizes,
  labelSheet,
  labelsOf,
  placeLabel,
  type Label,
  type LabelledRun,
  type LabelForm,
  type LabelSize,
} from './sheet/labels.js';
export type { JointHang, LowerSource } from './work/lowerSide.js';
export { isSmallPort } from './advise/leads.js';
export {
  insteadOfCable,
  proposalKinds,
  proposeRuns,
  type Proposal,
  type ProposalKind,
} from './advise/propose.js';
export { proposeRun, type RunWish } from './advise/propose.js';
export { checkReferences } from './design/references.js';
export type { JointSheet, PieceSheet, SheetBody } from './sheet/sheet.js';
export { endsLeft, type EndSheet, type ProofSheet, type WrapSheet } from './work/work.js';
export { USUAL_NOISE_FIGURE_DB, type Reception } from './wave/reception.js';
export type { Remedy } from './design/remedy.js';
export { counted, type Snag, type SnagLevel } from './snags/snag.js';
export {
  judgeRunReading,
  lossIntoLoad,
  readingOf,
  runExpectations,
  type RunExpectation,
} from './work/runExpectations.js';
export { rulerAt } from './wave/rulerAt.js';
export { layOut, pieceName } from './wave/layout.js';
export { shorten, type Shortened } from './advise/shorten.js';
export type { Slack } from './facts/slack.js';
export { spreadOf, usualTolerances, type RunSpread, type Spread, type Tolerances } from './wave/spread.js';
export { snagRules } from './snags/index.js';
export { compareSheets, type SheetDifference } from './advise/compareSheets.js';
export { fitJoint } from './edit/fitJoint.js';
export { article, type WayToJoin } from './edit/waysToJoin.js';
export { stageHeadline, stages, type Stage, type StageState } from './stages/index.js';
export type { StageId } from './design/stageId.js';
export { weatherReaches } from './sheet/weatherReaches.js';
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
export { piecesToCut, type PieceToCut, type RunOfJob } from './cutting/piecesToCut.js';
export { setMember } from './cutting/setMembers.js';
export { lotOf, trimGoalOf, trimReadings, trimsOfOthers } from './cutting/trimming.js';
