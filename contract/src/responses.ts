import type { AddTrace } from './requests.js';
import type {
  BenchHands,
  Design,
  Site,
  EndOutcome,
  FactKindId,
  Facts,
  Inspection,
  InstrumentKind,
  PartUse,
  Practice,
  Problem,
  RunSummary,
  Sheet,
  ShopEntry,
  ShopKind,
  TimedTask,
  TrimRecord,
  TriedEnd,
} from '@kobran/core';

/** What the server answers. */

/** Stored, and refused by the rules: set aside as it is, with what is wrong. */
export interface Damaged {
  id: string;
  message: string;
}

export interface JobSummary {
  id: string;
  name: string;
  site: string;
  practice: Practice;
  version: number;
  /** ISO 8601; null while the job is not deleted. */
  deletedAt: string | null;
  runCount: number;
  /** What of it cannot be read. */
  damaged?: Damaged[];
}

/** A run on the board. */
export interface BoardRun {
  id: string;
  /** Nothing where the run cannot be read. */
  summary?: RunSummary;
  /** Why it cannot be read. */
  fault?: string;
}

/** A line of the board: a run with its job, or a job which has none. */
export interface BoardRow {
  job: Pick<JobSummary, 'id' | 'name' | 'site'>;
  run?: BoardRun;
}

/** Some of the board, in the order of jobs and runs. */
export interface BoardPage {
  rows: BoardRow[];
  /** Where the next page goes on; nothing at the end. */
  next?: string;
  /** Nothing has the words which were looked for: these have words like them. */
  near?: true;
  /** Runs of which something else may be said in a moment: the shop or the program has changed. */
  workingOut: number;
}

/** Of how many runs it is worked out again what lists say. */
export interface RebuiltBoard {
  runs: number;
}

export interface RunDocument {
  id: string;
  jobId: string;
  version: number;
  design: Design;
  facts: Facts;
  deletedAt: string | null;
  /** Facts which cannot be read. */
  damaged?: Damaged[];
}

/** A design as it was handed over; the signatures in the log name it by its hash. */
export interface SignedDesign {
  hash: string;
  design: Design;
}

/** What Kobran says of a run, without the samples along the ruler and the sweep. */
export type RunSheet = Omit<Sheet, 'ruler' | 'sweep'>;

/** The place of a job with the version it stands at; version 0 is an empty one which nobody has touched. */
export interface SiteDocument {
  version: number;
  site: Site;
}

export interface JobDocument extends JobSummary {
  /** Nothing where nobody has drawn one. */
  place?: SiteDocument;
  runs: RunDocument[];
}

/** How the shop works, with the version it stands at. */
export interface ShopPracticeDocument {
  version: number;
  practice: Practice;
}

/** How far a card or a batch is. */
export interface ProgressDocument {
  key: string;
  at: string;
  /** Nothing when the work is done or given up. */
  body?: object;
}

/** An entry of the shop with the version it stands at. */
export type StoredShopEntry = ShopEntry & { version: number };

/** Everything the shop has added to the catalogue. */
export interface ShopDocument {
  entries: StoredShopEntry[];
  /** Entries which cannot be read. */
  damaged?: Damaged[];
}

/** An entry of the shop that was deleted and can be restored. */
export interface DeletedEntry {
  kind: ShopKind;
  id: string;
  name: string;
  /** ISO 8601. */
  deletedAt: string;
}

/** A run that was deleted and can be restored. */
export interface DeletedRun {
  id: string;
  name: string;
  jobName: string;
  /** ISO 8601. */
  deletedAt: string;
}

/** A backup in the data folder, checked by restoring it once. */
export interface BackupSummary {
  name: string;
  /** Made by itself once a day, by somebody, or before another one was restored. */
  reason: 'daily' | 'by-hand' | 'before-restore';
  /** ISO 8601. */
  madeAt: string;
  bytes: number;
}

/** What was restored. */
export interface RestoredBackup {
  rows: number;
  /** When the restored backup was made; ISO 8601. */
  madeAt: string;
  /** The backup of what stood before. */
  before: string;
}

export interface Health {
  status: 'ok';
  /** Round trip to the database, ms. */
  databaseMs: number;
}

/** Every error of the API. */
export interface ApiProblem extends Problem {
  /** The other problems of the same request. */
  others?: Problem[];
  /** On 409: what stands on the server. */
  current?: { version: number; design?: Design; data?: unknown };
}

/** One end that was made or failed, in any job of the shop. */
export interface LoggedEnd extends EndOutcome {
  runId: string;
  /** `main.a` */
  about: string;
  /** ISO 8601. */
  at: string;
}

/** What left the shelf with one entry, in any job. */
export interface LoggedUse extends PartUse {
  /** The kind of entry, or the joining of a conductor. */
  kind: FactKindId | 'joined';
  jobId: string;
  /** Nothing for what belongs to the whole site. */
  runId?: string;
  /** The run, or the job. */
  of: string;
  by: string;
}

/** What the shop knows from the logs of all its jobs. */
export interface ShopLogDocument {
  ends: TriedEnd[];
  /** Since anything that lies on the shelf was counted. */
  uses: LoggedUse[];
  /** How long tasks took. */
  times: TimedTask[];
}

/** A trace as it is kept. */
export interface StoredTrace extends AddTrace {
  /** The first accepted proof, with which later ones are compared: one for each assembly and one for the run. */
  birth: boolean;
}

/** A sweep in a list: everything but its samples. */
export type ListedTrace = Omit<StoredTrace, 'frequencyHz' | 's11' | 's21' | 's12' | 's22'>;

/** A resonance read on any piece of the shop, with where and when. */
export type LoggedTrim = TrimRecord & { runId: string; about: string; at: string };

/** An instrument which can be asked. */
export interface KnownInstrument {
  id: string;
  kind: InstrumentKind;
  name: string;
  host: string;
  port: number;
  /** Does it belong to the simulated bench? */
  simulated: boolean;
}

/** What an instrument says it is. */
export interface InstrumentIdentity {
  maker: string;
  model: string;
  serial: string;
  version: string;
}

/** What lies on the simulated bench. */
export interface OnBench {
  runName: string;
  runId: string;
  pieceId: string;
  seed: number;
  hands: BenchHands;
}

/** Everything of the page of instruments. */
export interface InstrumentsDocument {
  instruments: KnownInstrument[];
  bench: OnBench | null;
  /** Hosts beside this machine which the operator allows. */
  allowedHosts: string[];
}

/** A sweep as it was measured; one-port sweeps have S11 alone. */
export type MeasuredSweepData = Pick<
  AddTrace,
  'referenceOhm' | 'frequencyHz' | 's11' | 's21' | 's12' | 's22'
>;

/** Power at both ends, W. */
export interface MeasuredPower {
  forwardW: number;
  reflectedW: number;
  loadW: number;
}

/** What was hidden in the work on the bench. */
export interface RevealedFault {
  cause: string;
  name: string;
  atM: number;
}

/** Something which is looked at again, and the job it is of. */
export type DueInspection = Inspection & { jobId: string; job: string };
