import type { PictureType } from '@kobran/contract';
import type {
  CrewEventKind,
  FactKindId,
  InstrumentKind,
  MemberRole,
  RunSummary,
  ShopKind,
  SnagLevel,
  StageId,
} from '@kobran/core';
import { sql, type AnyColumn, type SQL } from 'drizzle-orm';
import {
  bigserial,
  boolean,
  customType,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';

/** The order in which rows came: it parts those of the same moment. */
const came = () => bigserial('came', { mode: 'number' }).notNull();

/** Bytes travel as base64: the engine's own way through hexadecimal takes six times as long in, and twenty times out. */
const bytes = customType<{ data: Uint8Array }>({
  dataType: () => 'bytea',
  toDriver: (value) => sql`decode(${Buffer.from(value).toString('base64')}, 'base64')`,
});

/** A column of bytes as it is asked for; {@link bytesOf} reads the answer. */
export const asBase64 = (column: AnyColumn): SQL<string | null> => sql`encode(${column}, 'base64')`;
export const bytesOf = (base64: string): Uint8Array => Buffer.from(base64, 'base64');

const tsvector = customType<{ data: string }>({ dataType: () => 'tsvector' });

const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

export const jobs = pgTable(
  'jobs',
  {
    id: uuid('id').primaryKey(),
    name: text('name').notNull(),
    site: text('site').notNull(),
    practice: jsonb('practice').notNull(),
    version: integer('version').notNull().default(1),
    /** Points and ways; nothing before somebody has drawn them. */
    place: jsonb('place'),
    placeVersion: integer('place_version').notNull().default(0),
    createdAt: moment('created_at').notNull().defaultNow(),
    deletedAt: moment('deleted_at'),
    /** Being imported: nobody sees it before all of it is there. */
    arriving: boolean('arriving').notNull().default(false),
    came: came(),
  },
  (table) => [index('jobs_in_order').on(table.came)],
);

export const runs = pgTable(
  'runs',
  {
    id: uuid('id').primaryKey(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    design: jsonb('design').notNull(),
    version: integer('version').notNull().default(1),
    createdAt: moment('created_at').notNull().defaultNow(),
    deletedAt: moment('deleted_at'),
    came: came(),
  },
  (table) => [index('runs_of_job').on(table.jobId)],
);

/**
 * What lists say of runs: worked out of everything else, in no backup, and made again whenever it is not of what stands.
 */
export const runSummaries = pgTable(
  'run_summaries',
  {
    runId: uuid('run_id')
      .primaryKey()
      .references(() => runs.id, { onDelete: 'cascade' }),
    /** Of which state of the run, its log, its job, the shop and the program it is. */
    of: text('of').notNull(),
    /** Nothing where the run cannot be read: then it is said why. */
    summary: jsonb('summary').$type<RunSummary>(),
    fault: text('fault'),
    /** As `wordsIn` finds them, with blanks between. */
    words: text('words').notNull(),
    /** Each word as it stands, and its English stem. */
    stems: tsvector('stems')
      .notNull()
      .generatedAlwaysAs(
        sql`array_to_tsvector(string_to_array(words, ' ')) || to_tsvector('english', words)`,
      ),
    worst: text('worst').$type<SnagLevel>(),
    nextStage: text('next_stage').$type<StageId>(),
    /** When the first of what is looked at again is due. */
    due: moment('due'),
    people: text('people').array().notNull(),
  },
  (table) => [
    index('summaries_by_letters').using('gin', table.words.op('gin_trgm_ops')),
    index('summaries_by_stems').using('gin', table.stems),
    index('summaries_by_due').on(table.due),
  ],
);

/** Every word a run was ever found by: what is mistyped is held against them. */
export const searchWords = pgTable('search_words', { word: text('word').primaryKey() }, (table) => [
  index('words_by_letters').using('gin', table.word.op('gin_trgm_ops')),
]);

/** What was read and done. A kind has the body of its kind; a new kind asks for no migration. */
export const facts = pgTable(
  'facts',
  {
    id: uuid('id').primaryKey(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    kind: text('kind').$type<FactKindId>().notNull(),
    /** Everything but id, kind, by and at. */
    body: jsonb('body').notNull(),
    by: text('by').notNull(),
    at: moment('at').notNull(),
    /** It stands for this entry and all before it; nothing until an older row is chained at the next start. */
    hash: text('hash'),
    came: came(),
  },
  (table) => [index('facts_of_run').on(table.runId), index('facts_of_kind').on(table.kind)],
);

/** How far the log of a run has come: with it an entry missing at the end is seen. Who adds an entry holds this row. */
export const logs = pgTable('logs', {
  runId: uuid('run_id')
    .primaryKey()
    .references(() => runs.id),
  length: integer('length').notNull(),
  head: text('head').notNull(),
});

/** Designs as they were handed over, each once: the signatures name it by its hash. */
export const revisions = pgTable(
  'revisions',
  {
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    hash: text('hash').notNull(),
    design: jsonb('design').notNull(),
  },
  (table) => [primaryKey({ columns: [table.runId, table.hash] })],
);

/** How far cards and batches are: the newest stands, whichever device it comes from. */
export const progress = pgTable(
  'progress',
  {
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    key: text('key').notNull(),
    at: moment('at').notNull(),
    /** Nothing when the work is done or given up. */
    body: jsonb('body'),
  },
  (table) => [primaryKey({ columns: [table.runId, table.key] })],
);

/** Sweeps of runs and assemblies; a list is read without their samples. */
export const traces = pgTable(
  'traces',
  {
    id: uuid('id').primaryKey(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    at: moment('at').notNull(),
    /** An assembly alone, or empty for the whole run. */
    pieceId: text('piece_id').notNull(),
    /** The first accepted proof of what it was taken of. */
    birth: boolean('birth').notNull().default(false),
    /** Everything but the samples: what it was taken of, by whom and how. */
    data: jsonb('data').notNull(),
    /** As `packed` makes them; nothing where an older version kept them in the document. */
    samples: bytes('samples'),
    deletedAt: moment('deleted_at'),
    came: came(),
  },
  (table) => [
    index('traces_of_run').on(table.runId),
    uniqueIndex('one_birth_record')
      .on(table.runId, table.pieceId)
      .where(sql`${table.birth} and ${table.deletedAt} is null`),
  ],
);

/** Pictures of a job: they never change, another one has another id. */
export const pictures = pgTable(
  'pictures',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    id: uuid('id').notNull(),
    type: text('type').$type<PictureType>().notNull(),
    bytes: bytes('bytes').notNull(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.id] })],
);

/** What the shop adds to the catalogue, and what lies on its shelf. */
export const shopEntries = pgTable(
  'shop_entries',
  {
    kind: text('kind').$type<ShopKind>().notNull(),
    id: text('id').notNull(),
    data: jsonb('data').notNull(),
    version: integer('version').notNull().default(1),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] })],
);

/** Entries which the shop deleted; the newest of an id can be restored. */
export const deletedEntries = pgTable(
  'deleted_entries',
  {
    kind: text('kind').$type<ShopKind>().notNull(),
    id: text('id').notNull(),
    data: jsonb('data').notNull(),
    deletedAt: moment('deleted_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] })],
);

/** Instruments which somebody connected by address. */
export const instruments = pgTable('instruments', {
  id: uuid('id').primaryKey(),
  kind: text('kind').$type<InstrumentKind>().notNull(),
  name: text('name').notNull(),
  host: text('host').notNull(),
  port: integer('port').notNull(),
});

/** How the shop works; one row at most. */
export const shopPractice = pgTable('shop_practice', {
  id: integer('id').primaryKey().default(1),
  practice: jsonb('practice').notNull(),
  version: integer('version').notNull().default(1),
});

/** The crew’s own tables: in no backup, and left as they are when one is restored. A backup holds the work, not the keys. */

/** Whether there is a crew, and how far its log has come; one row at most. Who adds an entry holds it. */
export const crew = pgTable('crew', {
  id: integer('id').primaryKey().default(1),
  logLength: integer('log_length').notNull().default(0),
  logHead: text('log_head').notNull(),
});

export const members = pgTable(
  'members',
  {
    id: uuid('id').primaryKey(),
    name: text('name').notNull(),
    /** As it is compared: nobody joins as another who differs by a capital. */
    nameKey: text('name_key').notNull(),
    role: text('role').$type<MemberRole>().notNull(),
    /** Argon2id, with its salt and cost. */
    phraseHash: text('phrase_hash').notNull(),
    createdAt: moment('created_at').notNull().defaultNow(),
    /** Their signatures stay in the log. */
    removedAt: moment('removed_at'),
  },
  (table) => [
    uniqueIndex('one_member_of_a_name')
      .on(table.nameKey)
      .where(sql`${table.removedAt} is null`),
  ],
);

/** Codes stand here as their SHA-256 only: they are random, so that nothing slower is wanted. */
export const invitations = pgTable('invitations', {
  id: uuid('id').primaryKey(),
  codeHash: text('code_hash').notNull().unique(),
  name: text('name').notNull(),
  role: text('role').$type<MemberRole>().notNull(),
  by: text('by').notNull(),
  expiresAt: moment('expires_at').notNull(),
  /** Taken up or withdrawn. */
  endedAt: moment('ended_at'),
});

/** Links of customers. The job may be replaced by that of a backup: no key points at it. */
export const customerLinks = pgTable('customer_links', {
  id: uuid('id').primaryKey(),
  codeHash: text('code_hash').notNull().unique(),
  jobId: uuid('job_id').notNull(),
  whom: text('whom').notNull(),
  by: text('by').notNull(),
  expiresAt: moment('expires_at').notNull(),
  endedAt: moment('ended_at'),
});

/** Devices on which somebody is signed in. The key of a device stands here as its SHA-256. */
export const sessions = pgTable(
  'sessions',
  {
    id: uuid('id').primaryKey(),
    keyHash: text('key_hash').notNull().unique(),
    /** The key before: a device whose last answer was lost still has it. */
    keyBefore: text('key_before').unique(),
    /** The new key has been used, at this moment: the one before is worth nothing a little later. */
    takenUpAt: moment('taken_up_at'),
    memberId: uuid('member_id').references(() => members.id),
    linkId: uuid('link_id').references(() => customerLinks.id),
    device: text('device').notNull(),
    createdAt: moment('created_at').notNull().defaultNow(),
    seenAt: moment('seen_at').notNull().defaultNow(),
    /** When the device got the key it has. */
    keyAt: moment('key_at').notNull().defaultNow(),
    endedAt: moment('ended_at'),
  },
  (table) => [index('sessions_of_member').on(table.memberId)],
);

/** Wrong phrases one after the other, by name and place. */
export const signInTries = pgTable('sign_in_tries', {
  key: text('key').primaryKey(),
  failures: integer('failures').notNull(),
  lastAt: moment('last_at').notNull(),
});

/** Who came in, and who did what only few may: chained like the log of a run. */
export const crewLog = pgTable('crew_log', {
  id: uuid('id').primaryKey(),
  kind: text('kind').$type<CrewEventKind>().notNull(),
  by: text('by').notNull(),
  about: text('about').notNull(),
  at: moment('at').notNull(),
  hash: text('hash').notNull(),
  came: came(),
});
