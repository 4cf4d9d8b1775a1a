export { BenchHands, readBench } from './documents/bench.js';
export { catalogToCsv, catalogToJson, CATALOG_SCHEMA, readCatalogFile } from './documents/catalogFile.js';
export { absentDimensions } from './documents/catalogRows.js';
export type { CatalogFile } from './documents/catalogFile.js';
export { factRules } from './documents/facts.js';
export { JOB_FILE_SCHEMA, JobFile, JobFileRun, TraceInFile, upgradeJobFile } from './documents/jobFile.js';
export {
  MAX_PHOTO_BYTES,
  MAX_PICTURE_BYTES,
  MAX_PICTURES,
  Picture,
  PictureInFile,
  pictureTypes,
  type PictureType,
} from './documents/picture.js';
export { Practice as PracticeRules } from './documents/practice.js';
export { Bond } from './documents/ground.js';
export { problemsOf, readAs } from './documents/readAs.js';
export { upgradedFact } from './documents/upgradeFacts.js';
export { readDesign } from './documents/readDesign.js';
export { readFact } from './documents/readFact.js';
export { readPractice } from './documents/readPractice.js';
export {
  cableScheduleCsv,
  cutListCsv,
  materialsUsedCsv,
  partsListCsv,
  supportListCsv,
} from './documents/siteCsv.js';
export { readSite } from './documents/readSite.js';
export { readShopEntry } from './documents/readShopEntry.js';
export { shopClasses } from './documents/shopEntries.js';
export {
  AddTrace,
  AsBuiltQuery,
  BoardQuery,
  BookCutting,
  CalibrateAnalyser,
  ConnectInstrument,
  CreateJob,
  CreateRun,
  GaugeSheetQuery,
  Here,
  ImportShop,
  InspectionsQuery,
  KeepProgress,
  LabelSheetQuery,
  SiteLabelsQuery,
  PutOnBench,
  PutShopEntry,
  ReadPower,
  ReplaceJob,
  ReplaceRun,
  PutOnSite,
  RunOnSite,
  ReplaceSite,
  ReplaceShopPractice,
  ShopFileEntry,
  SweepSetup,
  TraceSeries,
  calibrationSteps,
  type CalibrationStep,
} from './requests.js';
export {
  ChangeMember,
  ChangePhrase,
  Invite,
  Join,
  MakeLink,
  MakeOwner,
  SignIn,
  UseCode,
} from './crewRequests.js';
export type {
  CrewDocument,
  CrewDoor,
  CustomerLink,
  Invitation,
  InvitationFor,
  MadeCode,
  Me,
  Member,
  SignedInDevice,
} from './crewResponses.js';
export { pathOf } from './route.js';
export { traceOf } from './traceOf.js';
export type { AnyRoute, InputOf, OutputOf, Route } from './route.js';
export { leaveFor, type Leave } from './leave.js';
export { routes } from './routes.js';
export type {
  ApiProblem,
  BackupSummary,
  BoardPage,
  BoardRow,
  BoardRun,
  Damaged,
  DeletedEntry,
  DeletedRun,
  DueInspection,
  Health,
  InstrumentIdentity,
  InstrumentsDocument,
  JobDocument,
  JobSummary,
  KnownInstrument,
  ListedTrace,
  LoggedEnd,
  LoggedUse,
  ShopLogDocument,
  LoggedTrim,
  MeasuredPower,
  MeasuredSweepData,
  OnBench,
  ProgressDocument,
  RebuiltBoard,
  RestoredBackup,
  RevealedFault,
  RunDocument,
  RunSheet,
  SignedDesign,
  ShopDocument,
  ShopPracticeDocument,
  SiteDocument,
  StoredShopEntry,
  StoredTrace,
} from './responses.js';
export { MAX_KEPT_POINTS, MAX_LINK_DAYS } from './limits.js';
