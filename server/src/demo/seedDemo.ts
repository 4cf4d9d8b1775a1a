import { documentHash, onSite } from '@kobran/core';
import { sql } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { jobs, runs, shopEntries, traces } from '../database/schema.js';
import { putLog, putRevisions } from '../facts/log.js';
import { traceRow } from '../traces/traceRow.js';
import { shopShelf } from './shopShelf.js';
import { tarrowmere } from './tarrowmere.js';

/** Any number, the same for every Kobran. */
const DEMO_LOCK = 4_780_002;

/**
 * Fills an empty database with the demo jobs; one with any job, deleted or not, is left alone.
 *
 * @returns whether it was empty; what the shop has on its own shelf stays as it is
 */
export async function seedDemo(db: Database): Promise<boolean> {
  return db.transaction(async (tx) => {
    // Of two who begin at once the second finds what the first has put in.
    await tx.execute(sql`select pg_advisory_xact_lock(${DEMO_LOCK})`);
    const [any] = await tx.select({ id: jobs.id }).from(jobs).limit(1);
    if (any) return false;
    await tx
      .insert(shopEntries)
      .values(shopShelf.map(({ kind, data }) => ({ kind, id: data.id, data })))
      .onConflictDoNothing();
    for (const { id, name, site, practice, place, runs: demoRuns } of tarrowmere) {
      await tx
        .insert(jobs)
        .values({ id, name, site, practice, ...(place ? { place, placeVersion: 1 } : {}) });
      for (const run of demoRuns) {
        await tx.insert(runs).values({ id: run.id, jobId: id, design: run.design });
        const { handedOver } = run;
        const signed = handedOver && onSite(handedOver.design, place);
        await putLog(tx, run.id, [
          ...run.facts,
          ...(handedOver && signed
            ? [
                {
                  id: `${run.id.slice(0, -4)}5190`,
                  kind: 'handed over' as const,
                  design: documentHash(signed),
                  by: handedOver.by,
                  at: handedOver.at,
                  reason: handedOver.reason,
                },
              ]
            : []),
        ]);
        if (signed) await putRevisions(tx, run.id, [signed]);
        for (const trace of run.traces ?? []) await tx.insert(traces).values(await traceRow(run.id, trace));
      }
    }
    return true;
  });
}
