import {
  readPractice,
  type CreateJob,
  type JobDocument,
  type JobSummary,
  type ReplaceJob,
  type Damaged,
} from '@kobran/contract';
import { defaultPractice, type Practice } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, count, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, runs } from '../database/schema.js';
import { seedDemo } from '../demo/seedDemo.js';
import { notFound, problem, stale } from '../errors/problem.js';
import { PracticeService } from '../practice/practice.service.js';
import { placeOf } from '../sites/sites.service.js';
import { RunsService } from '../runs/runs.service.js';
import { now } from '../store/moment.js';
import { damageOf } from '../store/stored.js';

const columns = {
  id: jobs.id,
  name: jobs.name,
  site: jobs.site,
  practice: jobs.practice,
  version: jobs.version,
  deletedAt: jobs.deletedAt,
};

/** Only where the whole job is read. */
const placeColumns = { place: jobs.place, placeVersion: jobs.placeVersion };

@Injectable()
export class JobsService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RunsService) private readonly runsService: RunsService,
    @Inject(PracticeService) private readonly practices: PracticeService,
  ) {}

  /** Jobs in the order in which they were made. */
  async list(deleted: boolean): Promise<JobSummary[]> {
    const rows = await this.db
      .select({ ...columns, runCount: count(runs.id) })
      .from(jobs)
      .leftJoin(runs, and(eq(runs.jobId, jobs.id), isNull(runs.deletedAt)))
      .where(and(eq(jobs.arriving, false), deleted ? isNotNull(jobs.deletedAt) : isNull(jobs.deletedAt)))
      .groupBy(jobs.id)
      .orderBy(asc(jobs.createdAt), asc(jobs.came));
    return rows.map((row) => ({ ...row, ...practiceOf(row) }));
  }

  /** The demo jobs, where there is no other. */
  async openDemo(): Promise<void> {
    if (await seedDemo(this.db)) return;
    throw problem(409, {
      code: 'demo.not-empty',
      message:
        'There are jobs already, or deleted ones that can be restored: the demo only opens in an empty Kobran.',
      where: 'path',
      remedy: 'Start Kobran with an empty data folder to look at the demo.',
    });
  }

  async read(id: string): Promise<JobDocument> {
    const [row] = await this.db
      .select({ ...columns, ...placeColumns })
      .from(jobs)
      .where(eq(jobs.id, id));
    if (!row || row.deletedAt) throw notFound('job', id);
    const { place: kept, placeVersion, ...job } = row;
    const { place, damaged: broken } = placeOf({ id, place: kept, placeVersion });
    const { practice, damaged: own = [] } = practiceOf(job);
    const { runs: documents, damaged } = await this.runsService.ofJob(id);
    const all = [...own, ...(broken ? [broken] : []), ...damaged];
    return {
      ...job,
      practice,
      ...(place.version > 0 ? { place } : {}),
      runCount: documents.length,
      runs: documents,
      ...(all.length > 0 ? { damaged: all } : {}),
    };
  }

  /** Makes a job, by the shop’s practice unless it brings its own; the same id again gives the job made the first time. */
  async create({ id, name, site, practice }: CreateJob): Promise<JobDocument> {
    const own = practice ?? (await this.practices.ofShop()).practice;
    await this.db.insert(jobs).values({ id, name, site, practice: own }).onConflictDoNothing();
    return this.read(id);
  }

  async replace(id: string, { version, name, site, practice }: ReplaceJob): Promise<JobDocument> {
    const changed = await this.db
      .update(jobs)
      .set({ name, site, practice, version: version + 1 })
      .where(and(eq(jobs.id, id), eq(jobs.version, version), isNull(jobs.deletedAt)))
      .returning({ id: jobs.id });
    if (changed.length === 0) throw stale('job', version, { version: (await this.read(id)).version });
    return this.read(id);
  }

  /** Deletes so that `restore` brings it back. */
  /** @returns its name */
  async remove(id: string): Promise<string> {
    const { name } = await this.read(id);
    await this.db.update(jobs).set({ deletedAt: now() }).where(eq(jobs.id, id));
    return name;
  }

  async restore(id: string): Promise<JobDocument> {
    await this.db
      .update(jobs)
      .set({ deletedAt: null })
      .where(and(eq(jobs.id, id), eq(jobs.arriving, false)));
    return this.read(id);
  }
}

/** The practice of a job; one that cannot be read gives way to the usual one, and is said to be damaged. */
function practiceOf({ id, practice }: { id: string; practice: unknown }): {
  practice: Practice;
  damaged?: Damaged[];
} {
  const read = readPractice(practice);
  return read.ok
    ? { practice: read.practice }
    : { practice: defaultPractice, damaged: [damageOf('The practice of a job', id, read.problems)] };
}
