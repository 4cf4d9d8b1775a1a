import {
  readDesign,
  type CreateRun,
  type DeletedRun,
  type ReplaceRun,
  type RunDocument,
  type Damaged,
} from '@kobran/contract';
import type { Catalog, Design } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, runs } from '../database/schema.js';
import { damaged, notFound, stale } from '../errors/problem.js';
import { readCheckedDesign } from '../errors/readCheckedDesign.js';
import { factsMark, factsOfRun, FactsService, type RunFacts } from '../facts/facts.service.js';
import type { FactRow } from '../store/factRows.js';
import { ShopService } from '../shop/shop.service.js';
import { iso, now } from '../store/moment.js';
import { apart, damageOf, type Stored } from '../store/stored.js';

const columns = {
  id: runs.id,
  jobId: runs.jobId,
  design: runs.design,
  version: runs.version,
  deletedAt: runs.deletedAt,
  /** The database's own mark of this state of the row: it differs after every change, whoever made it. */
  mark: sql<string>`runs.xmin::text`,
};

type RunRow = Pick<typeof runs.$inferSelect, 'id' | 'jobId' | 'design' | 'version' | 'deletedAt'> & {
  mark: string;
};

/** Deleted runs in a list. */
const MAX_DELETED = 500;

/** Runs of which it is remembered what they hold and that it was checked. */
const MAX_CHECKED = 500;

type ReadDesign = ReturnType<typeof readDesign>;

/**
 * A run with its facts in one question: it is asked more than anything else. What is known already, by its mark, is not sent again.
 */
const readOne = (db: Database) =>
  db
    .select({
      ...columns,
      design: sql`case when runs.xmin::text = ${sql.placeholder('mark')} then null else ${runs.design} end`,
      factsMark,
      facts: sql<
        FactRow[] | null
      >`case when ${factsMark} = ${sql.placeholder('factsMark')} then null else ${factsOfRun} end`,
    })
    .from(runs)
    .innerJoin(jobs, eq(jobs.id, runs.jobId))
    .where(and(eq(runs.id, sql.placeholder('id')), isNull(runs.deletedAt), isNull(jobs.deletedAt)))
    .prepare('read_run');

@Injectable()
export class RunsService {
  private readonly checked = new Map<string, { mark: string; catalog: Catalog; read: ReadDesign }>();
  private readonly known = new Map<string, { mark: string; facts: RunFacts }>();
  private readonly one: ReturnType<typeof readOne>;

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(FactsService) private readonly facts: FactsService,
  ) {
    this.one = readOne(db);
  }

  /** The runs of a job in the order in which they were made; a damaged one is set aside. */
  async ofJob(jobId: string): Promise<{ runs: RunDocument[]; damaged: Damaged[] }> {
    const rows = await this.db
      .select(columns)
      .from(runs)
      .where(and(eq(runs.jobId, jobId), isNull(runs.deletedAt)))
      .orderBy(asc(runs.createdAt), asc(runs.came));
    const { readable, damaged: broken } = apart(await this.documents(rows));
    return { runs: readable, damaged: [...broken, ...readable.flatMap((run) => run.damaged ?? [])] };
  }

  async read(id: string): Promise<RunDocument> {
    const catalog = await this.shop.catalog();
    const remembered = this.checked.get(id);
    const checked = remembered?.catalog === catalog ? remembered : undefined;
    const known = this.known.get(id);
    const [found] = await this.one.execute({
      id,
      mark: checked?.mark ?? '',
      factsMark: known?.mark ?? '',
    });
    if (!found) throw notFound('run', id);
    const { facts: sent, factsMark: mark, ...row } = found;
    const facts = known?.mark === mark ? known.facts : this.facts.ofRow(sent);
    if (this.known.size >= MAX_CHECKED) this.known.clear();
    this.known.set(id, { mark, facts });
    // What was known before the question: by now others may have learned more, or forgotten it.
    const read = checked?.mark === row.mark ? checked.read : this.checkedDesign(row, catalog);
    const document = documentOf(row, read, facts);
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

  /** Deleted runs of jobs which stand, the newest first, as many as somebody would look through. */
  async deleted(): Promise<DeletedRun[]> {
    const rows = await this.db
      .select({
        id: runs.id,
        name: sql<string | null>`${runs.design} ->> 'name'`,
        jobName: jobs.name,
        deletedAt: runs.deletedAt,
      })
      .from(runs)
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(and(isNotNull(runs.deletedAt), isNull(jobs.deletedAt)))
      .orderBy(desc(runs.deletedAt))
      .limit(MAX_DELETED);
    return rows.map(({ id, name, jobName, deletedAt }) => ({
      id,
      name: name ?? id,
      jobName,
      deletedAt: iso(deletedAt ?? now()),
    }));
  }

  private async documents(rows: readonly RunRow[]): Promise<Stored<RunDocument>[]> {
    const catalog = await this.shop.catalog();
    const facts = await this.facts.ofRuns(rows.map(({ id }) => id));
    return rows.map((row) => documentOf(row, this.checkedDesign(row, catalog), facts.get(row.id)));
  }

  /** The same row, read against the same catalogue, says the same every time: its design is checked once. */
  private checkedDesign(
    { id, design, mark }: Pick<RunRow, 'id' | 'design' | 'mark'>,
    catalog: Catalog,
  ): ReadDesign {
    const known = this.checked.get(id);
    if (known?.mark === mark && known.catalog === catalog) return known.read;
    const read = readDesign(design, catalog);
    if (this.checked.size >= MAX_CHECKED) this.checked.clear();
    this.checked.set(id, { mark, catalog, read });
    return read;
  }
}

function documentOf(
  { mark: _, ...row }: RunRow,
  read: ReadDesign,
  own: RunFacts | undefined,
): Stored<RunDocument> {
  if (!read.ok) return { ok: false, damaged: damageOf('A run', row.id, read.problems) };
  return {
    ok: true,
    value: {
      ...row,
      design: read.design,
      facts: own?.facts ?? [],
      ...(own && own.damaged.length > 0 ? { damaged: own.damaged } : {}),
    },
  };
}
