import type { FactKindId, InstrumentKind, ShopKind } from '@kobran/core';
import { sql } from 'drizzle-orm';
import {
  boolean,
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

const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

export const jobs = pgTable('jobs', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  site: text('site').notNull(),
  practice: jsonb('practice').notNull(),
  version: integer('version').notNull().default(1),
  createdAt: moment('created_at').notNull().defaultNow(),
  deletedAt: moment('deleted_at'),
});

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
  },
  (table) => [index('runs_of_job').on(table.jobId)],
);

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
  },
  (table) => [index('facts_of_run').on(table.runId), index('facts_of_kind').on(table.kind)],
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

/** Sweeps of runs and assemblies; the samples as one document. */
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
    data: jsonb('data').notNull(),
    deletedAt: moment('deleted_at'),
  },
  (table) => [
    index('traces_of_run').on(table.runId),
    uniqueIndex('one_birth_record')
      .on(table.runId, table.pieceId)
      .where(sql`${table.birth} and ${table.deletedAt} is null`),
  ],
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
