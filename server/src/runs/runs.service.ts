import {
  readDesign,
  type CreateRun,
  type ReplaceRun,
  type RunDocument,
  type Damaged,
} from '@kobran/contract';
import type { Design } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, runs } from '../database/schema.js';
import { damaged, notFound, stale } from '../errors/problem.js';
import { readCheckedDesign } from '../errors/readCheckedDesign.js';
import { FactsService } from '../facts/facts.service.js';
import { ShopService } from '../shop/shop.service.js';
import { now } from '../store/moment.js';
import { apart, damageOf, type Stored } from '../store/stored.js';

const columns = {
  id: runs.id,
  jobId: runs.jobId,
  design: runs.design,
  version: runs.version,
  deletedAt: runs.deletedAt,
};

type RunRow = Pick<typeof runs.$inferSelect, keyof typeof columns>;

@Injectable()
export class RunsService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(FactsService) private readonly facts: FactsService,
  ) {}

  /** The runs of a job in the order in which they were made; a damaged one is set aside. */
  async ofJob(jobId: string): Promise<{ runs: RunDocument[]; damaged: Damaged[] }> {
    const rows = await this.db
      .select(columns)
      .from(runs)
      .where(and(eq(runs.jobId, jobId), isNull(runs.deletedAt)))
      .orderBy(asc(runs.createdAt));
    const { readable, damaged: broken } = apart(await this.documents(rows));
    return { runs: readable, damaged: [...broken, ...readable.flatMap((run) => run.damaged ?? [])] };
  }

  async read(id: string): Promise<RunDocument> {
    const [row] = await this.db
      .select(columns)
      .from(runs)
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(and(eq(runs.id, id), isNull(runs.deletedAt), isNull(jobs.deletedAt)));
    if (!row) throw notFound('run', id);
    const [document] = await this.documents([row]);
    if (!document.ok) throw damaged('run', id, document.damaged.message);
    return document.value;
  }

  /** @throws when there is no such run, or it is deleted, or its job is */
  async mustStand(id: string): Promise<void> {
    const [row] = await this.db
      .select({ id: runs.id })
      .from(runs)
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(and(eq(runs.id, id), isNull(runs.deletedAt), isNull(jobs.deletedAt)));
    if (!row) throw notFound('run', id);
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
    await this.mustStand(id);
    await this.db.update(runs).set({ deletedAt: now() }).where(eq(runs.id, id));
  }

  async restore(id: string): Promise<RunDocument> {
    await this.db.update(runs).set({ deletedAt: null }).where(eq(runs.id, id));
    return this.read(id);
  }

  private async documents(rows: readonly RunRow[]): Promise<Stored<RunDocument>[]> {
    const catalog = await this.shop.catalog();
    const facts = await this.facts.ofRuns(rows.map(({ id }) => id));
    return rows.map((row): Stored<RunDocument> => {
      const read = readDesign(row.design, catalog);
      if (!read.ok) return { ok: false, damaged: damageOf('A run', row.id, read.problems) };
      const own = facts.get(row.id);
      return {
        ok: true,
        value: {
          ...row,
          design: read.design,
          facts: own?.facts ?? [],
          ...(own && own.damaged.length > 0 ? { damaged: own.damaged } : {}),
        },
      };
    });
  }
}
