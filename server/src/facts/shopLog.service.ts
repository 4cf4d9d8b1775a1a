import { readSite, type LoggedUse, type ShopLogDocument } from '@kobran/contract';
import { timedTasks, usesOf, usingKinds, type TriedEnd } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, isNotNull, isNull } from 'drizzle-orm';
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

  /** Since the first of what lies on the shelf was counted; what was used before is not asked for. */
  private async uses(): Promise<LoggedUse[]> {
    const catalog = await this.shop.catalog();
    const counted = [...catalog.stock.values()].flatMap(({ countedAt }) => countedAt ?? []).sort();
    const [since] = counted;
    if (since === undefined) return [];
    const logged = await this.facts.ofKinds(usingKinds, since);
    const inRuns = logged.flatMap(({ runId, run, jobId, fact }) =>
      usesOf(fact, catalog).map(({ part, amount }): LoggedUse => {
        const { id, at, by, kind } = fact;
        return { id, part, amount, at, by, kind, jobId, runId, of: run };
      }),
    );
    return [...inRuns, ...(await this.ofGround(since))];
  }

  /** Conductors which were joined: the site itself says so. */
  private async ofGround(since: string): Promise<LoggedUse[]> {
    const rows = await this.db
      .select({ jobId: jobs.id, of: jobs.name, place: jobs.place })
      .from(jobs)
      .where(and(isNotNull(jobs.place), isNull(jobs.deletedAt)));
    return rows.flatMap(({ jobId, of, place }) => {
      const read = readSite(place);
      if (!read.ok) return [];
      return read.site.ground.bonds.flatMap(({ id, made }) =>
        made?.at === undefined || made.at <= since
          ? []
          : (made.used ?? []).map(({ part, amount }): LoggedUse => {
              const { at = '', by } = made;
              return { id: `${jobId} ${id}`, part, amount, at, by, kind: 'joined', jobId, of };
            }),
      );
    });
  }
}
