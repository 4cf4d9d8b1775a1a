export { listed } from './steps/words.js';
export {
  MAX_IN_BATCH,
  batchFinished,
  failPiece,
  freshBatch,
  isDone,
  nextPiece,
  piecesOf,
  readBatch,
  readPiece,
  stepBack,
  tickPiece,
  untickPiece,
  type Batch,
  type Ticked,
} from './batch.js';
export { cardFor, lostOnFailureMm, stepBlocked, type Card, type CardOptions, type StepDone } from './card.js';
export { cutBack, damageKinds, damages, type CutBack, type Damage, type DamageKind } from './cutBack.js';
export { drawnEnd, endFaults, faultKinds, faultsOf, type DrawnEnd, type EndFault } from './endFaults.js';
export { ID1_CARD_MM, pxPerMmNow, scaleFromCard, type ScreenScale } from './lifeSize.js';
export { gaugeSheet, type SheetHead } from './gaugeSheet.js';
export { CHECK_BAR_MM } from './sheetParts.js';
export { notchesOf, tactileSheets } from './tactileGauge.js';
export { A4, type Ink, type Paper, type Shape } from './paper.js';
export { cutsFromEnd, markingOf } from './marking.js';
export type { Placed, Recipe, RecipeInput, Step, StepReading, Work, WorkId } from './recipe.js';
export { recipes, works } from './recipes/index.js';
export {
  centreSchools,
  markingSchools,
  schoolsOfCentre,
  schoolsOfMarking,
  schoolsOfUhfShield,
  schoolsOfUnbraiding,
  uhfShieldSchools,
  unbraidingSchools,
  usualSchools,
} from './schools.js';
export type {
  CentreSchool,
  MakeSchools,
  MarkingSchool,
  School,
  UhfShieldSchool,
  UnbraidingSchool,
} from './schools.js';
export { spokenCommand, type SpokenCommand } from './spokenCommand.js';
export { shareDifference, tally, wilson, type EndOutcome, type Tally } from './statistics.js';
export { STRIP_TOLERANCE_MM, stripGauge, stripText } from './stripGauge.js';
export type { GaugeStretch, Layer, StripGauge } from './stripGauge.js';
export { formatCaliper, stripToolSettings, type Blade } from './stripTool.js';
export {
  dieText,
  owns,
  ownsDie,
  toolIds,
  toolNames,
  formatTool,
  type ToolId,
  type ToolNeed,
} from './tools.js';
