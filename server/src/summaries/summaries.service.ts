import { readPractice } from '@kobran/contract';
import { defaultPractice, type Catalog } from '@kobran/core';
import { Inject, Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import { setImmediate, setTimeout as pause } from 'node:timers/promises';
import { Changes } from '../database/changes.js';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, logs, runs, runSummaries, searchWords } from '../database/schema.js';
import { FactsService } from '../facts/facts.service.js';
import { ShopService } from '../shop/shop.service.js';
import { placeOf } from '../sites/sites.service.js';
import { markOf, stateOf } from './state.js';
import { summaryRow, unreadable, type SummaryRow, type ToSummarise } from './summaryRow.js';

/** A summary which is not of what stands, or none. */
const isOld = (mark: string): SQL => sql`${runSummaries.of} is distinct from ${stateOf(mark)}`;

/** Runs which are read and written at once. */
const AT_ONCE = 20;
/** So many at once change how the database should ask. */
const MANY = 200;
/** After a start and after a change of all of it: requests come first, ms. */
const FIRST_LOOK_MS = 1_500;

/**
 * Keeps what lists say of runs. Nobody who changes a run, its log, its job or the shop has to think of it: a summary says of which state it
 * is, and is made again when that is not the state which stands: soon after somebody was told of a change, and before it is read.
 */
@Injectable()
export class SummariesService implements OnModuleInit, OnModuleDestroy {
  private readonly logger = new Logger('Summaries');
  private readonly told = new Set<string>();
  /** Those of the lot that is made next, and the lots themselves. */
  private readonly wanted = new Set<string>();
  private next: Promise<void> | undefined;
  private last: Promise<void> = Promise.resolve();
  private everything = true;
  private working: Promise<void> | undefined;
  private isOver = false;
  private stopHearing: () => void = () => undefined;
  private timer: NodeJS.Timeout | undefined;

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(Changes) private readonly changes: Changes,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(FactsService) private readonly facts: FactsService,
  ) {}

  onModuleInit(): void {
    this.stopHearing = this.changes.onChange((change) => {
      if (change.startsWith('run ')) this.told.add(change.slice('run '.length));
      else if (change.startsWith('here ')) return;
      else this.everything = true;
      this.later();
    });
    this.later();
  }

  async onModuleDestroy(): Promise<void> {
    this.isOver = true;
    this.stopHearing();
    clearTimeout(this.timer);
    await this.working;
  }

  /** The mark with which a summary is of what stands; for {@link stateOf}. */
  async mark(): Promise<string> {
    return markOf(await this.shop.catalog());
  }

  /** Works out again what is known to have changed. @returns how many runs still want it, when there are more than anybody waits for */
  async catchUp(mostMs: number): Promise<number> {
    const until = performance.now() + mostMs;
    await this.makeTold();
    while (this.everything && performance.now() < until) await this.makeSome();
    return this.everything ? this.countOfOld() : 0;
  }

  /** Makes the summaries of these runs of what stands. Who asks while others are made has them made once, with all who ask meanwhile. */
  make(ids: readonly string[]): Promise<void> {
    if (ids.length === 0) return Promise.resolve();
    for (const id of ids) this.wanted.add(id);
    this.next ??= this.last = this.afterwards(this.last);
    return this.next;
  }

  private async afterwards(before: Promise<void>): Promise<void> {
    // Whoever waits for those before hears why they failed.
    await before.catch(() => undefined);
    const ids = [...this.wanted];
    this.wanted.clear();
    this.next = undefined;
    await this.makeNow(ids);
  }

  private async makeNow(ids: readonly string[]): Promise<void> {
    const catalog = await this.shop.catalog();
    const rows: SummaryRow[] = [];
    for (const run of await this.read(ids, markOf(catalog))) {
      rows.push(this.rowOf(run, catalog));
      // Other requests go on between two runs.
      await setImmediate();
    }
    if (rows.length === 0) return;
    const set = Object.fromEntries(
      (['of', 'summary', 'fault', 'words', 'worst', 'nextStage', 'due', 'people'] as const).map((name) => [
        name,
        sql.raw(`excluded."${runSummaries[name].name}"`),
      ]),
    );
    await this.db.insert(runSummaries).values(rows).onConflictDoUpdate({ target: runSummaries.runId, set });
    const words = [...new Set(rows.flatMap((row) => row.words.split(' ')))].filter((word) => word !== '');
    if (words.length > 0)
      await this.db
        .insert(searchWords)
        .values(words.toSorted().map((word) => ({ word })))
        .onConflictDoNothing();
  }

  /** Forgets every summary, whatever it is of: they are made again in the background. @returns how many there will be */
  async forget(): Promise<number> {
    await this.db.delete(runSummaries);
    await this.db.delete(searchWords);
    this.everything = true;
    this.later();
    return this.countOfOld();
  }

  /** Makes every summary again, and waits for the last one. @returns how many there are */
  async rebuild(): Promise<number> {
    await this.forget();
    let made = 0;
    for (let ids = await this.old(); ids.length > 0; ids = await this.old()) {
      await this.make(ids);
      made += ids.length;
    }
    await this.know();
    return made;
  }

  /** Tells the database how much there is now, so that it asks in the right order; the embedded one does not find out by itself. */
  private async know(): Promise<void> {
    await this.db.execute(sql`analyze jobs, runs, logs, run_summaries, search_words`);
  }

  /** One run at which the rules fail does not take the list away from the others. */
  private rowOf(run: ToSummarise, catalog: Catalog): SummaryRow {
    try {
      return summaryRow(run, catalog);
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      return unreadable(run, `Kobran fails at this run (${why}). Nothing of it is lost; please report it.`);
    }
  }

  private later(): void {
    if (this.isOver || this.working) return;
    clearTimeout(this.timer);
    this.timer = setTimeout(
      () => {
        this.working = this.work().finally(() => {
          this.working = undefined;
          if (this.told.size > 0) this.later();
        });
      },
      this.everything ? FIRST_LOOK_MS : 0,
    );
    this.timer.unref();
  }

  private async work(): Promise<void> {
    try {
      await this.makeTold();
      let made = 0;
      while (this.everything && !this.isOver) {
        const from = performance.now();
        made += await this.makeSome();
        // Between two runs whoever asks is answered; here they are a little ahead.
        await pause((performance.now() - from) / 4, undefined, { ref: false });
      }
      if (made >= MANY) await this.know();
    } catch (error) {
      // The database is away, or is being replaced: the next change or the next reader tries again.
      this.everything = true;
      if (!this.isOver)
        this.logger.warn(
          `Summaries could not be made: ${error instanceof Error ? error.message : String(error)}`,
        );
    }
  }

  private async makeTold(): Promise<void> {
    while (this.told.size > 0 && !this.isOver) {
      const ids = [...this.told].slice(0, AT_ONCE);
      for (const id of ids) this.told.delete(id);
      await this.make(ids);
    }
  }

  /** Makes some of those which are of another state; when there is none, all is well. @returns how many */
  private async makeSome(): Promise<number> {
    this.everything = false;
    const ids = await this.old();
    if (ids.length === 0) return 0;
    this.everything = true;
    await this.make(ids);
    return ids.length;
  }

  /** Some runs without a summary of what stands. */
  private async old(): Promise<string[]> {
    const rows = await this.oldRows(await this.mark())
      .orderBy(asc(runs.came))
      .limit(AT_ONCE);
    return rows.map(({ id }) => id);
  }

  private async countOfOld(): Promise<number> {
    return this.db.$count(this.oldRows(await this.mark()).as('old'));
  }

  private oldRows(mark: string) {
    return this.db
      .select({ id: runs.id })
      .from(runs)
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .leftJoin(logs, eq(logs.runId, runs.id))
      .leftJoin(runSummaries, eq(runSummaries.runId, runs.id))
      .where(and(isNull(runs.deletedAt), isNull(jobs.deletedAt), eq(jobs.arriving, false), isOld(mark)))
      .$dynamic();
  }

  /** Those of them which want it. The state is read before what it is of: what comes between makes a summary too old, and never too new. */
  private async read(ids: readonly string[], mark: string): Promise<ToSummarise[]> {
    const rows = await this.db
      .select({ id: runs.id, of: stateOf(mark), design: runs.design, jobId: runs.jobId })
      .from(runs)
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .leftJoin(logs, eq(logs.runId, runs.id))
      .leftJoin(runSummaries, eq(runSummaries.runId, runs.id))
      .where(and(inArray(runs.id, [...ids]), isOld(mark)));
    if (rows.length === 0) return [];
    const theirs = await this.db
      .select()
      .from(jobs)
      .where(inArray(jobs.id, [...new Set(rows.map(({ jobId }) => jobId))]));
    const byId = new Map(
      theirs.map((job) => {
        const practice = readPractice(job.practice);
        return [
          job.id,
          {
            name: job.name,
            where: job.site,
            practice: practice.ok ? practice.practice : defaultPractice,
            place: placeOf(job).place.site,
          },
        ];
      }),
    );
    const facts = await this.facts.ofRuns(rows.map(({ id }) => id));
    return rows.flatMap(({ jobId, ...row }) => {
      const job = byId.get(jobId);
      return job ? [{ ...row, job, facts: facts.get(row.id)?.facts ?? [] }] : [];
    });
  }
}
