import type {
  Design,
  EndRecord,
  InstrumentKind,
  LogKind,
  PowerRecord,
  Practice,
  ShopKind,
  TrimRecord,
} from '@kobran/core';
import type { StoredTrace } from '@kobran/contract';
import {
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';

const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

export const jobs = pgTable('jobs', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  site: text('site').notNull(),
  practice: jsonb('practice').$type<Practice>().notNull(),
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
    design: jsonb('design').$type<Design>().notNull(),
    version: integer('version').notNull().default(1),
    createdAt: moment('created_at').notNull().defaultNow(),
    deletedAt: moment('deleted_at'),
  },
  (table) => [index('runs_of_job').on(table.jobId)],
);

export const readings = pgTable(
  'readings',
  {
    id: uuid('id').primaryKey(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    pieceId: text('piece_id').notNull(),
    expectation: text('expectation').notNull(),
    /** SI; null is over range. */
    value: doublePrecision('value'),
    by: text('by').notNull(),
    at: moment('at').notNull(),
  },
  (table) => [index('readings_of_run').on(table.runId)],
);

export const logEntries = pgTable(
  'log_entries',
  {
    id: uuid('id').primaryKey(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    kind: text('kind').$type<LogKind>().notNull(),
    about: text('about').notNull(),
    text: text('text').notNull(),
    by: text('by').notNull(),
    at: moment('at').notNull(),
    /** Of an entry about an end. */
    end: jsonb('end_record').$type<EndRecord>(),
    /** Of a reading while a piece was trimmed. */
    trim: jsonb('trim_record').$type<TrimRecord>(),
    /** Of a power step. */
    power: jsonb('power_record').$type<PowerRecord>(),
  },
  (table) => [index('log_entries_of_run').on(table.runId)],
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
    data: jsonb('data').$type<StoredTrace>().notNull(),
    deletedAt: moment('deleted_at'),
  },
  (table) => [index('traces_of_run').on(table.runId)],
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
