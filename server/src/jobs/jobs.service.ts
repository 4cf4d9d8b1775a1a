import type { CreateJob, JobDocument, JobSummary, ReplaceJob } from '@kobran/contract';
import { defaultPractice } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, count, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, runs } from '../database/schema.js';
import { notFound, stale } from '../errors/problem.js';
import { RunsService } from '../runs/runs.service.js';

const columns = {
  id: jobs.id,
  name: jobs.name,
  site: jobs.site,
  practice: jobs.practice,
  version: jobs.version,
  deletedAt: jobs.deletedAt,
};

@Injectable()
export class JobsService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RunsService) private readonly runsService: RunsService,
  ) {}

  /** Jobs in the order in which they were made. */
  async list(deleted: boolean): Promise<JobSummary[]> {
    return this.db
      .select({ ...columns, runCount: count(runs.id) })
      .from(jobs)
      .leftJoin(runs, and(eq(runs.jobId, jobs.id), isNull(runs.deletedAt)))
      .where(deleted ? isNotNull(jobs.deletedAt) : isNull(jobs.deletedAt))
      .groupBy(jobs.id)
      .orderBy(asc(jobs.createdAt));
  }

  async read(id: string): Promise<JobDocument> {
    const [job] = await this.db.select(columns).from(jobs).where(eq(jobs.id, id));
    if (!job || job.deletedAt) throw notFound('job', id);
    const documents = await this.runsService.ofJob(id);
    return { ...job, runCount: documents.length, runs: documents };
  }

  /** Makes a job; the same id again gives the job made the first time. */
  async create({ id, name, site, practice = defaultPractice }: CreateJob): Promise<JobDocument> {
    await this.db.insert(jobs).values({ id, name, site, practice }).onConflictDoNothing();
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
  async remove(id: string): Promise<void> {
    await this.read(id);
    await this.db.update(jobs).set({ deletedAt: new Date().toISOString() }).where(eq(jobs.id, id));
  }

  async restore(id: string): Promise<JobDocument> {
    await this.db.update(jobs).set({ deletedAt: null }).where(eq(jobs.id, id));
    return this.read(id);
  }
}
