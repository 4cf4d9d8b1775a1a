import type { LoggedEnd, LoggedTrim } from '@kobran/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, logEntries, runs } from '../database/schema.js';

/** What the ends of all jobs have taught the shop. */
@Injectable()
export class EndsService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Ends made or failed, oldest first; those of deleted jobs and runs, and entries without a record, are left out. */
  async list(): Promise<LoggedEnd[]> {
    const rows = await this.db
      .select({
        runId: logEntries.runId,
        kind: logEntries.kind,
        about: logEntries.about,
        by: logEntries.by,
        at: logEntries.at,
        end: logEntries.end,
      })
      .from(logEntries)
      .innerJoin(runs, eq(runs.id, logEntries.runId))
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(
        and(
          inArray(logEntries.kind, ['end made', 'end failed']),
          isNotNull(logEntries.end),
          isNull(runs.deletedAt),
          isNull(jobs.deletedAt),
        ),
      )
      .orderBy(asc(logEntries.at));
    return rows.flatMap(({ runId, kind, about, by, at, end }) =>
      end
        ? [
            {
              runId,
              about,
              at: new Date(at).toISOString(),
              person: by,
              part: end.part,
              recipe: end.recipe,
              outcome: kind === 'end made' ? 'made' : 'failed',
              ...(end.cause === undefined ? {} : { cause: end.cause }),
              ...(end.lostM === undefined ? {} : { lostM: end.lostM }),
            },
          ]
        : [],
    );
  }

  /** Resonances read while trimming, oldest first; those of deleted jobs and runs are left out. */
  async trims(): Promise<LoggedTrim[]> {
    const rows = await this.db
      .select({ runId: logEntries.runId, about: logEntries.about, at: logEntries.at, trim: logEntries.trim })
      .from(logEntries)
      .innerJoin(runs, eq(runs.id, logEntries.runId))
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(and(isNotNull(logEntries.trim), isNull(runs.deletedAt), isNull(jobs.deletedAt)))
      .orderBy(asc(logEntries.at));
    return rows.flatMap(({ runId, about, at, trim }) =>
      trim ? [{ ...trim, runId, about, at: new Date(at).toISOString() }] : [],
    );
  }
}
