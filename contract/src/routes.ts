import type { KeptLog } from '@kobran/core';
import type { JobFile } from './documents/jobFile.js';
import type {
  AsBuiltQuery,
  BoardQuery,
  GaugeSheetQuery,
  InspectionsQuery,
  LabelSheetQuery,
  SiteLabelsQuery,
} from './requests.js';
import type {
  BackupSummary,
  BoardPage,
  DeletedEntry,
  DeletedRun,
  DueInspection,
  Health,
  InstrumentIdentity,
  InstrumentsDocument,
  JobDocument,
  JobSummary,
  ListedTrace,
  LoggedEnd,
  LoggedTrim,
  MeasuredPower,
  MeasuredSweepData,
  ProgressDocument,
  RebuiltBoard,
  RestoredBackup,
  RevealedFault,
  RunDocument,
  RunSheet,
  SignedDesign,
  ShopDocument,
  ShopLogDocument,
  ShopPracticeDocument,
  SiteDocument,
  StoredShopEntry,
  StoredTrace,
} from './responses.js';
import { crewRoutes } from './crewRoutes.js';
import { ask, get, keep, keepAt, make, put, remove, route, type Route } from './route.js';

/** Every request there is: from this one table come the client of the web, the controllers of the server and OpenAPI. */

/** Facts have a shape of their own for each kind: `readFact` checks them, and no class stands for all. */
export interface FactBodySent {
  id: string;
  kind: string;
  by: string;
  at: string;
}

const fact = <Path extends string>(
  path: Path,
  summary: string,
): Route<Path, FactBodySent, unknown, void> => ({
  method: 'POST',
  path,
  summary,
  status: 204,
  body: undefined,
});

export const routes = {
  followChanges: get<Blob>()(
    '/api/changes',
    'Server-sent events: which job or run has changed, as soon as it has',
  ),
  sayHere: keep('/api/here', 'Say where somebody is; whoever follows the changes is told', 'Here'),
  readHealth: get<Health>()('/api/health', 'Is the server up and its database answering?'),

  ...crewRoutes,

  listBackups: get<BackupSummary[]>()('/api/backups', 'Backups in the data folder, the newest first'),
  makeBackup: make<BackupSummary>()('/api/backups', 'Back everything up, and check it by a scratch restore'),
  readBackup: get<Blob>()('/api/backups/:name', 'A backup as a file'),
  restoreSentBackup: ask<RestoredBackup>()(
    '/api/backups/restore',
    'Back up what stands, then put the backup which is sent in its place',
  ),
  restoreBackup: ask<RestoredBackup>()(
    '/api/backups/:name/restore',
    'Back up what stands, then put a backup of the data folder in its place',
  ),

  readBoard: get<BoardPage, BoardQuery>()(
    '/api/board',
    'Runs of all jobs with what is said of each, page by page; found by words and by what they want',
  ),
  rebuildBoard: ask<RebuiltBoard>()(
    '/api/board/rebuild',
    'Work out again in the background what lists say of every run, whatever they say now',
  ),
  listPeople: get<string[]>()('/api/people', 'Everybody who has signed something of a run'),

  listJobs: get<JobSummary[], { deleted?: boolean }>()(
    '/api/jobs',
    'Jobs; with deleted=true those which can be restored',
  ),
  readJob: get<JobDocument>()('/api/jobs/:id', 'A job with its runs and their facts'),
  createJob: make<JobDocument>()('/api/jobs', 'Make a job; the same id again makes none', 'CreateJob'),
  replaceJob: put<JobDocument>()(
    '/api/jobs/:id',
    'Replace a job’s name, site and practice; 409 when the version is not the current one',
    'ReplaceJob',
  ),
  readSite: get<SiteDocument>()('/api/jobs/:id/site', 'The place of a job: its points and ways'),
  replaceSite: put<SiteDocument>()(
    '/api/jobs/:id/site',
    'Replace the place of a job; 409 with the current one when the version is not current',
    'ReplaceSite',
  ),
  putOnSite: put<SiteDocument>()(
    '/api/jobs/:id/site/runs',
    'Replace the place of a job together with the runs which lie in it, all or nothing; 409 when one of them is not current',
    'PutOnSite',
  ),
  putPicture: keepAt(
    '/api/jobs/:id/pictures/:pictureId',
    'Keep a picture of a job under a new id; the same again changes nothing',
    'Picture',
  ),
  readPicture: get<Blob>()('/api/jobs/:id/pictures/:pictureId', 'A picture of a job as a file'),
  removeJob: remove('/api/jobs/:id', 'Delete a job; it can be restored'),
  restoreJob: ask<JobDocument>()('/api/jobs/:id/restore', 'Restore a deleted job'),
  exportJob: get<JobFile>()('/api/jobs/:id/file', 'The whole job as one JSON file'),
  openDemo: keep('/api/jobs/demo', 'Fill an empty Kobran with the demo jobs and their shelf'),
  importJob: make<JobDocument, { id?: string }>()(
    '/api/jobs/import',
    'Add the job of a file as a new one; under an id it is added once',
    'JobFile',
  ),

  listRuns: get<RunDocument[]>()('/api/jobs/:id/runs', 'The runs of a job'),
  createRun: make<RunDocument>()(
    '/api/jobs/:id/runs',
    'Put a run into a job; the same id again makes none',
    'CreateRun',
  ),
  readRun: get<RunDocument>()('/api/runs/:id', 'A run with its facts'),
  readSheet: get<RunSheet>()(
    '/api/runs/:id/sheet',
    'What Kobran says of the run: figures, joints, stages and problems, without the samples along the ruler',
  ),
  replaceRun: put<RunDocument>()(
    '/api/runs/:id',
    'Replace a run’s design; 409 with the current one when the version is not current',
    'ReplaceRun',
  ),
  removeRun: remove('/api/runs/:id', 'Delete a run; it can be restored'),
  listDeletedRuns: get<DeletedRun[]>()(
    '/api/deleted/runs',
    'Deleted runs of jobs which stand, the newest first',
  ),
  restoreRun: ask<RunDocument>()('/api/runs/:id/restore', 'Restore a deleted run'),
  addFact: fact(
    '/api/runs/:id/facts',
    'Keep a fact: a reading, an end made, a piece cut …; sent twice it is kept once',
  ),

  readLog: get<KeptLog>()(
    '/api/runs/:id/log',
    'The log of a run in the order in which its entries came, each with the hash which chains it to those before',
  ),
  listRevisions: get<SignedDesign[]>()(
    '/api/runs/:id/revisions',
    'Designs of a run as they were handed over',
  ),

  listProgress: get<ProgressDocument[]>()('/api/runs/:id/progress', 'How far cards and batches are'),
  keepProgress: put<ProgressDocument>()(
    '/api/runs/:id/progress/:key',
    'Keep how far a card or a batch is; the newest stands and is answered',
    'KeepProgress',
  ),

  listTraces: get<ListedTrace[]>()(
    '/api/runs/:id/traces',
    'The sweeps of a run without their samples, oldest first',
  ),
  readTrace: get<StoredTrace>()('/api/runs/:id/traces/:traceId', 'A sweep with its samples'),
  addTrace: keep('/api/runs/:id/traces', 'Keep a sweep; sent twice it is kept once', 'AddTrace'),
  makeBirth: keep(
    '/api/runs/:id/traces/:traceId/birth',
    'Make this sweep the birth record of what it was taken of',
  ),
  removeTrace: remove('/api/runs/:id/traces/:traceId', 'Delete a sweep; it can be restored'),
  restoreTrace: keep('/api/runs/:id/traces/:traceId/restore', 'Restore a deleted sweep'),

  printGauges: get<Blob, GaugeSheetQuery>()(
    '/api/runs/:id/gauges.pdf',
    'Strip gauges of the run’s ends at true 1:1, one page each; or of one end',
  ),
  printLabels: get<Blob, LabelSheetQuery>()(
    '/api/runs/:id/labels.pdf',
    'Flag labels for every assembly of a run, or for several of one; two to a piece',
  ),

  printSiteLabels: get<Blob, SiteLabelsQuery>()(
    '/api/jobs/:id/labels.pdf',
    'Labels for every assembly, box and entry of a site',
  ),

  printAsBuilt: get<Blob, AsBuiltQuery>()('/api/runs/:id/as-built.pdf', 'The as-built of a run'),
  printSite: get<Blob, AsBuiltQuery>()(
    '/api/jobs/:id/as-built.pdf',
    'The as-built of a site with all its runs',
  ),
  readCalendar: get<Blob>()('/api/jobs/:id/inspections.ics', 'When what is looked at again, as a calendar'),
  listInspections: get<DueInspection[], InspectionsQuery>()(
    '/api/inspections',
    'What is looked at again in all jobs, the first due first; with soon=true only what somebody would plan for now',
  ),
  readWholeCalendar: get<Blob>()('/api/inspections.ics', 'The same as a calendar'),
  readArchive: get<Blob, AsBuiltQuery>()(
    '/api/jobs/:id/handover.zip',
    'Everything of a job in one file: the job itself, documents, lists, plan and sweeps',
  ),

  listEnds: get<LoggedEnd[]>()(
    '/api/ends',
    'Every end made or failed in all jobs, with part, recipe, person and cause',
  ),
  readShopLog: get<ShopLogDocument>()(
    '/api/shop/log',
    'Ends tried, parts used since they were counted, and times of tasks, in all jobs',
  ),
  listTrims: get<LoggedTrim[]>()(
    '/api/trims',
    'Every resonance read while trimming, in all jobs: what lots have taught',
  ),
  bookCutting: keep(
    '/api/cuttings',
    'Book a cutting plan, or take it back: shelf and log together',
    'BookCutting',
  ),

  readShop: get<ShopDocument>()(
    '/api/shop',
    'What the shop has added to the catalogue: cables, parts, adapters, ports, stock',
  ),
  readShopSchema: get<object>()('/api/shop/schema', 'The JSON schema of a catalogue file'),
  putShopEntry: put<StoredShopEntry>()(
    '/api/shop/:kind/:id',
    'Put an entry in or replace it; 409 with the current one when the version is not current',
    'PutShopEntry',
  ),
  removeShopEntry: remove('/api/shop/:kind/:id', 'Delete an entry; 409 while a run names it'),
  listDeletedEntries: get<DeletedEntry[]>()(
    '/api/deleted/entries',
    'Entries of the shop which were deleted, the newest first',
  ),
  restoreShopEntry: keep('/api/shop/:kind/:id/restore', 'Restore a deleted entry'),
  importShop: ask<ShopDocument>()('/api/shop/import', 'Put many entries in, all or none', 'ImportShop'),
  readShopPractice: get<ShopPracticeDocument>()(
    '/api/practice',
    'How the shop works: a new job starts from it',
  ),
  replaceShopPractice: put<ShopPracticeDocument>()(
    '/api/practice',
    'Replace the shop’s practice; 409 with the current one when the version is not current',
    'ReplaceShopPractice',
  ),

  readInstruments: get<InstrumentsDocument>()(
    '/api/instruments',
    'Every instrument which can be asked, and what lies on the simulated bench',
  ),
  connectInstrument: ask<InstrumentIdentity>()(
    '/api/instruments',
    'Connect an instrument by its address; it must answer *IDN?',
    'ConnectInstrument',
  ),
  forgetInstrument: remove('/api/instruments/:id', 'Forget a connected instrument'),
  identifyInstrument: ask<InstrumentIdentity>()(
    '/api/instruments/:id/identify',
    'Ask an instrument what it is',
  ),
  calibrateInstrument: keep(
    '/api/instruments/:id/calibrate',
    'Collect one standard, or put the calibration to use',
    'CalibrateAnalyser',
  ),
  sweepInstrument: ask<MeasuredSweepData>()(
    '/api/instruments/:id/sweep',
    'Sweep what is connected',
    'SweepSetup',
  ),
  zeroInstrument: keep('/api/instruments/:id/zero', 'Zero the leads of an ohm-meter'),
  readOhm: ask<{ ohm: number | null }>()(
    '/api/instruments/:id/ohm',
    'Resistance from pin to shell, ohm; null is over range',
  ),
  readPower: ask<MeasuredPower>()(
    '/api/instruments/:id/power',
    'Key the transmitter and read both ends',
    'ReadPower',
  ),
  putOnBench: put<InstrumentsDocument>()(
    '/api/bench',
    'Put a run, or an assembly of it, on the simulated bench',
    'PutOnBench',
  ),
  touchBench: put<InstrumentsDocument>()(
    '/api/bench/hands',
    'Cut it, wiggle it, let it rain, or change its far end',
    'BenchHands',
  ),
  revealFault: get<RevealedFault>()('/api/bench/fault', 'What was hidden in the work on the bench'),
  clearBench: route('DELETE', 200)<InstrumentsDocument>()(
    '/api/bench',
    'Clear the bench and switch its instruments off',
  ),
};
