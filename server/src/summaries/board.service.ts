import type { BoardPage, BoardQuery, BoardRow, DueInspection } from '@kobran/contract';
import { looksInOrder, soonUntil } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import {
  and,
  arrayContains,
  asc,
  eq,
  gt,
  gte,
  inArray,
  isNotNull,
  isNull,
  lt,
  or,
  sql,
  type SQL,
} from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, logs, runs, runSummaries } from '../database/schema.js';
import { now } from '../store/moment.js';
import { beginning, byIndex, containing, nearly, wordsOf } from './matching.js';
import { stateOf } from './state.js';
import { SummariesService } from './summaries.service.js';

/** Lines of a page which nobody has asked for otherwise. */
const USUAL_MOST = 30;
/** Who looks for something waits no longer for runs that are worked out again; the answer says how many are left, ms. */
const MOST_WAIT_MS = 400;

interface Found {
  job: BoardRow['job'];
  came: number;
  runId: string | null;
  runCame: number | null;
  summary: typeof runSummaries.$inferSelect.summary;
  fault: string | null;
  fresh: boolean | null;
}

const standing = and(isNull(jobs.deletedAt), eq(jobs.arriving, false));

/** Lists over all runs: the board, what is looked at again, and who has worked. All of them are read from summaries. */
@Injectable()
export class BoardService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(SummariesService) private readonly summaries: SummariesService,
  ) {}

  async page(query: BoardQuery): Promise<BoardPage> {
    const { most = USUAL_MOST, search = '' } = query;
    const where = whereOf(query);
    const filters = filtersOf(query);
    const words = wordsOf(search);
    const isSearched = search.trim() !== '';
    if (!isSearched && filters.length === 0) return this.answer(await this.inOrder(where, most), most, 0);
    const workingOut = await this.summaries.catchUp(MOST_WAIT_MS);
    // Signs alone are in no word.
    if (isSearched && words.length === 0) return { rows: [], workingOut };
    const { found, near } = await this.find(where, most, filters, words);
    return { ...(await this.answer(found, most, workingOut)), ...(near && found.length > 0 ? { near } : {}) };
  }

  /** By the beginnings of words; where there is none, by their middles; where there is none, by words which are like them. */
  private async find(
    where: Where,
    most: number,
    filters: readonly SQL[],
    words: readonly string[],
  ): Promise<{ found: Found[]; near?: true }> {
    const found = await this.search(where, most, [...filters, beginning(words)]);
    if (found.length > 0 || words.length === 0) return { found };
    return this.db.transaction(async (tx) => {
      await tx.execute(byIndex);
      const within = await this.search(where, most, [...filters, containing(words)], tx);
      if (within.length > 0) return { found: within };
      const like = await nearly(tx, words);
      return { found: like ? await this.search(where, most, [...filters, like], tx) : [], near: true };
    });
  }

  /** Everybody who has signed something of a run, by the alphabet. */
  async people(): Promise<string[]> {
    await this.summaries.catchUp(MOST_WAIT_MS);
    const rows = await this.db
      .selectDistinct({ name: sql<string>`unnest(${runSummaries.people})`.as('name') })
      .from(runSummaries);
    return rows.map(({ name }) => name).toSorted((x, y) => x.localeCompare(y));
  }

  /** What is looked at again, the first due first. */
  async inspections(onlySoon: boolean): Promise<DueInspection[]> {
    await this.summaries.catchUp(MOST_WAIT_MS);
    const rows = await this.db
      .select({ runId: runs.id, jobId: jobs.id, job: jobs.name, summary: runSummaries.summary })
      .from(runSummaries)
      .innerJoin(runs, eq(runs.id, runSummaries.runId))
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(
        and(
          standing,
          isNull(runs.deletedAt),
          isNotNull(runSummaries.due),
          onlySoon ? lt(runSummaries.due, dayAfter(soonUntil(now()))) : undefined,
        ),
      );
    const jobOf = new Map(rows.map(({ runId, jobId, job }) => [runId, { jobId, job }]));
    const looks = rows.flatMap(({ runId, summary }) =>
      summary ? [{ id: runId, name: summary.name, looks: summary.looks }] : [],
    );
    const last = soonUntil(now());
    return looksInOrder(looks, now())
      .filter(({ due }) => !onlySoon || due.slice(0, 10) <= last)
      .flatMap((one) => {
        const job = jobOf.get(one.runId);
        return job ? [{ ...one, ...job }] : [];
      });
  }

  /** What is shown is of what stands: those which are not are made first. */
  private async answer(found: readonly Found[], most: number, workingOut: number): Promise<BoardPage> {
    const shown = found.slice(0, most);
    const old = shown.flatMap(({ runId, fresh }) => (runId !== null && fresh !== true ? [runId] : []));
    const made = new Map<string, Pick<Found, 'summary' | 'fault'>>();
    if (old.length > 0) {
      await this.summaries.make(old);
      for (const { runId, ...row } of await this.db
        .select({ runId: runSummaries.runId, summary: runSummaries.summary, fault: runSummaries.fault })
        .from(runSummaries)
        .where(inArray(runSummaries.runId, old)))
        made.set(runId, row);
    }
    const last = found.length > most ? shown.at(-1) : undefined;
    return {
      rows: shown.map(({ job, runId, ...row }): BoardRow => {
        if (runId === null) return { job };
        const { summary, fault } = made.get(runId) ?? row;
        return { job, run: { id: runId, ...(summary ? { summary } : {}), ...(fault ? { fault } : {}) } };
      }),
      ...(last ? { next: `${last.came}.${last.runCame ?? 0}` } : {}),
      workingOut,
    };
  }

  /** As many jobs as there can be lines: however many there are beside, only theirs are read. A job without runs has a line too. */
  private async inOrder({ job, from }: Where, most: number): Promise<Found[]> {
    const some = await this.db
      .select({ id: jobs.id })
      .from(jobs)
      .where(and(standing, job, from && gte(jobs.came, from.job)))
      .orderBy(asc(jobs.came))
      .limit(most + 2);
    const ids = some.map(({ id }) => id);
    if (ids.length === 0) return [];
    return this.lines(await this.summaries.mark())
      .leftJoin(runs, and(eq(runs.jobId, jobs.id), isNull(runs.deletedAt)))
      .leftJoin(logs, eq(logs.runId, runs.id))
      .leftJoin(runSummaries, eq(runSummaries.runId, runs.id))
      .where(and(inArray(jobs.id, ids), behind(from)))
      .orderBy(asc(jobs.came), asc(runs.came))
      .limit(most + 1);
  }

  private async search(
    { job, from }: Where,
    most: number,
    filters: readonly (SQL | undefined)[],
    within: Pick<Database, 'select'> = this.db,
  ): Promise<Found[]> {
    return this.lines(await this.summaries.mark(), within)
      .innerJoin(runs, and(eq(runs.jobId, jobs.id), isNull(runs.deletedAt)))
      .leftJoin(logs, eq(logs.runId, runs.id))
      .innerJoin(runSummaries, eq(runSummaries.runId, runs.id))
      .where(and(standing, job, behind(from), ...filters))
      .orderBy(asc(jobs.came), asc(runs.came))
      .limit(most + 1);
  }

  private lines(mark: string, within: Pick<Database, 'select'> = this.db) {
    return within
      .select({
        job: { id: jobs.id, name: jobs.name, site: jobs.site },
        came: jobs.came,
        runId: runs.id,
        runCame: runs.came,
        summary: runSummaries.summary,
        fault: runSummaries.fault,
        fresh: sql<boolean | null>`${runSummaries.of} = ${stateOf(mark)}`,
      })
      .from(jobs)
      .$dynamic();
  }
}

/** Which part of the whole list. */
interface Where {
  job: SQL | undefined;
  /** Behind this line. */
  from: { job: number; run: number } | undefined;
}

function whereOf({ job, after }: BoardQuery): Where {
  const [jobCame = 0, runCame = 0] = (after ?? '').split('.').map(Number);
  return {
    job: job === undefined ? undefined : eq(jobs.id, job),
    from: after === undefined ? undefined : { job: jobCame, run: runCame },
  };
}

const behind = (from: Where['from']): SQL | undefined =>
  from &&
  or(gt(jobs.came, from.job), and(eq(jobs.came, from.job), sql`coalesce(${runs.came}, 0) > ${from.run}`));

function filtersOf({ stage, problem, due, person }: BoardQuery): SQL[] {
  const today = now().slice(0, 10);
  const filters = [
    stage === undefined ? undefined : eq(runSummaries.nextStage, stage),
    problem === undefined
      ? undefined
      : problem === 'none'
        ? isNull(runSummaries.worst)
        : eq(runSummaries.worst, problem),
    due === undefined
      ? undefined
      : lt(runSummaries.due, due === 'overdue' ? today : dayAfter(soonUntil(now()))),
    person === undefined ? undefined : arrayContains(runSummaries.people, [person]),
  ];
  return filters.filter((one) => one !== undefined);
}

const dayAfter = (day: string): string => new Date(Date.parse(day) + 24 * 3600 * 1000).toISOString();
