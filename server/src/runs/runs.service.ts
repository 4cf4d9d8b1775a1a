import type { AddLogEntry, AddReading, CreateRun, ReplaceRun, RunDocument } from '@kobran/contract';
import type { Design, LogEntry, Reading } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, logEntries, readings, runs } from '../database/schema.js';
import { notFound, stale } from '../errors/problem.js';
import { readCheckedDesign } from '../errors/readCheckedDesign.js';
import { ShopService } from '../shop/shop.service.js';

const readingColumns = {
  id: readings.id,
  runId: readings.runId,
  pieceId: readings.pieceId,
  expectation: readings.expectation,
  value: readings.value,
  by: readings.by,
  at: readings.at,
};
const logColumns = {
  id: logEntries.id,
  runId: logEntries.runId,
  kind: logEntries.kind,
  about: logEntries.about,
  text: logEntries.text,
  by: logEntries.by,
  at: logEntries.at,
  end: logEntries.end,
  trim: logEntries.trim,
  power: logEntries.power,
};

type RunRow = Omit<RunDocument, 'readings' | 'log'>;

/** PostgreSQL writes `2026-11-03 09:00:00+00`; documents carry ISO 8601. */
const iso = <T extends { at: string }>(row: T): T => ({ ...row, at: new Date(row.at).toISOString() });

@Injectable()
export class RunsService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(ShopService) private readonly shop: ShopService,
  ) {}

  async ofJob(jobId: string): Promise<RunDocument[]> {
    const rows = await this.db
      .select()
      .from(runs)
      .where(and(eq(runs.jobId, jobId), isNull(runs.deletedAt)))
      .orderBy(asc(runs.createdAt));
    return this.withFacts(rows);
  }

  async read(id: string): Promise<RunDocument> {
    const [row] = await this.db
      .select({
        id: runs.id,
        jobId: runs.jobId,
        design: runs.design,
        version: runs.version,
        deletedAt: runs.deletedAt,
      })
      .from(runs)
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(and(eq(runs.id, id), isNull(runs.deletedAt), isNull(jobs.deletedAt)));
    if (!row) throw notFound('run', id);
    const [document] = await this.withFacts([row]);
    return document;
  }

  /** Puts a run into a job; the same id again gives the run made the first time. */
  async create(jobId: string, { id, design }: CreateRun): Promise<RunDocument> {
    const checked = readCheckedDesign(design, 'design', await this.shop.catalog());
    const [job] = await this.db
      .select({ id: jobs.id })
      .from(jobs)
      .where(and(eq(jobs.id, jobId), isNull(jobs.deletedAt)));
    if (!job) throw notFound('job', jobId);
    await this.db.insert(runs).values({ id, jobId, design: checked }).onConflictDoNothing();
    return this.read(id);
  }

  /** Replaces the design when `version` is the one that stands; else 409 with what stands. */
  async replace(id: string, { version, design }: ReplaceRun): Promise<RunDocument> {
    const checked: Design = readCheckedDesign(design, 'design', await this.shop.catalog());
    const changed = await this.db
      .update(runs)
      .set({ design: checked, version: version + 1 })
      .where(and(eq(runs.id, id), eq(runs.version, version), isNull(runs.deletedAt)))
      .returning({ id: runs.id });
    const current = await this.read(id);
    if (changed.length === 0)
      throw stale('run', version, { version: current.version, design: current.design });
    return current;
  }

  async remove(id: string): Promise<void> {
    await this.read(id);
    await this.db.update(runs).set({ deletedAt: new Date().toISOString() }).where(eq(runs.id, id));
  }

  async restore(id: string): Promise<RunDocument> {
    await this.db.update(runs).set({ deletedAt: null }).where(eq(runs.id, id));
    return this.read(id);
  }

  /** Keeps a reading; sent twice it is kept once. */
  async addReading(runId: string, reading: AddReading): Promise<void> {
    await this.read(runId);
    await this.db
      .insert(readings)
      .values({ ...reading, runId })
      .onConflictDoNothing();
  }

  /** Keeps a line of the log; sent twice it is kept once. */
  async addLogEntry(runId: string, entry: AddLogEntry): Promise<void> {
    await this.read(runId);
    await this.db
      .insert(logEntries)
      .values({ ...entry, runId })
      .onConflictDoNothing();
  }

  private async withFacts(rows: RunRow[]): Promise<RunDocument[]> {
    const ids = rows.map(({ id }) => id);
    if (ids.length === 0) return [];
    const [allReadings, allEntries] = await Promise.all([
      this.db
        .select(readingColumns)
        .from(readings)
        .where(inArray(readings.runId, ids))
        .orderBy(asc(readings.at)),
      this.db
        .select(logColumns)
        .from(logEntries)
        .where(inArray(logEntries.runId, ids))
        .orderBy(asc(logEntries.at)),
    ]);
    return rows.map(({ id, jobId, design, version, deletedAt }) => ({
      id,
      jobId,
      version,
      design,
      deletedAt,
      readings: allReadings
        .filter((row) => row.runId === id)
        .map(({ runId: _, ...row }): Reading => iso(row)),
      log: allEntries
        .filter((row) => row.runId === id)
        .map(({ runId: _, end, trim, power, ...row }): LogEntry => ({
          ...iso(row),
          ...(end ? { end } : {}),
          ...(trim ? { trim } : {}),
          ...(power ? { power } : {}),
        })),
    }));
  }
}
