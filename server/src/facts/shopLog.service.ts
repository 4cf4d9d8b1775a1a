import { Bond, readAs, type LoggedUse, type ShopLogDocument } from '@kobran/contract';
import { isObject, timedTasks, usesOf, usingKinds, type TriedEnd } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs } from '../database/schema.js';
import { ShopService } from '../shop/shop.service.js';
import { FactsService } from './facts.service.js';

/** What the shop knows from the logs of all its jobs: which ends failed, what left the shelf, how long tasks took. */
@Injectable()
export class ShopLogService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(FactsService) private readonly facts: FactsService,
    @Inject(ShopService) private readonly shop: ShopService,
  ) {}

  async read(): Promise<ShopLogDocument> {
    const tried = await this.facts.ends();
    const timed = await this.facts.ofRunsWithTasks();
    return {
      ends: tried.map(({ part, outcome }): TriedEnd => ({ part, outcome })),
      uses: await this.uses(),
      times: timed.flatMap(timedTasks),
    };
  }

  /** Of what lies on the shelf, since it was counted; what was used before was not counted. */
  private async uses(): Promise<LoggedUse[]> {
    const catalog = await this.shop.catalog();
    const counted = new Map(
      [...catalog.stock.values()].flatMap(({ id, countedAt }) =>
        countedAt === undefined ? [] : [[id, countedAt] as const],
      ),
    );
    const [since] = [...counted.values()].sort();
    if (since === undefined) return [];
    const logged = await this.facts.ofKinds(usingKinds, since);
    const inRuns = logged.flatMap(({ runId, run, jobId, fact }) =>
      usesOf(fact, catalog).map(({ part, amount }): LoggedUse => {
        const { id, at, by, kind } = fact;
        return { id, part, amount, at, by, kind, jobId, runId, of: run };
      }),
    );
    return [...inRuns, ...(await this.ofGround(since))].filter(
      ({ part, at }) => at > (counted.get(part) ?? at),
    );
  }

  /** Conductors which were joined: the sites themselves say so; only those are read which have some. */
  private async ofGround(since: string): Promise<LoggedUse[]> {
    const joined = sql<unknown[]>`jsonb_path_query_array(${jobs.place},
      '$.ground.bonds[*] ? (@.made.at > $since)', jsonb_build_object('since', ${since}::text))`;
    const rows = await this.db
      .select({ jobId: jobs.id, of: jobs.name, joined })
      .from(jobs)
      .where(and(isNotNull(jobs.place), isNull(jobs.deletedAt), sql`jsonb_array_length(${joined}) > 0`));
    return rows.flatMap(({ jobId, of, joined: bonds }) =>
      bonds.flatMap((bond) => {
        const read = readAs(Bond, isObject(bond) ? bond : {});
        if (!read.ok || read.value.made?.at === undefined) return [];
        const { id, made } = read.value;
        const { at = '', by, used = [] } = made;
        return used.map(({ part, amount }): LoggedUse => ({
          id: `${jobId} ${id}`,
          part,
          amount,
          at,
          by,
          kind: 'joined',
          jobId,
          of,
        }));
      }),
    );
  }
}
