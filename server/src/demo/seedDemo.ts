import type { Database } from '../database/database.js';
import { facts, jobs, runs, shopEntries, traces } from '../database/schema.js';
import { shopShelf } from './shopShelf.js';
import { tarrowmere } from './tarrowmere.js';

/**
 * Fills an empty database with the demo jobs; one with any job, deleted or not, is left alone.
 *
 * @returns whether it was empty; what the shop has on its own shelf stays as it is
 */
export async function seedDemo(db: Database): Promise<boolean> {
  const [any] = await db.select({ id: jobs.id }).from(jobs).limit(1);
  if (any) return false;
  let moment = Date.now();
  await db.transaction(async (tx) => {
    await tx
      .insert(shopEntries)
      .values(shopShelf.map(({ kind, data }) => ({ kind, id: data.id, data })))
      .onConflictDoNothing();
    for (const { id, name, site, practice, runs: demoRuns } of tarrowmere) {
      await tx.insert(jobs).values({ id, name, site, practice, createdAt: new Date(moment++).toISOString() });
      for (const run of demoRuns) {
        await tx
          .insert(runs)
          .values({ id: run.id, jobId: id, design: run.design, createdAt: new Date(moment++).toISOString() });
        const rows = run.facts.map(({ id: factId, kind, by, at, ...body }) => ({
          id: factId,
          runId: run.id,
          kind,
          by,
          at,
          body,
        }));
        if (rows.length > 0) await tx.insert(facts).values(rows);
        for (const { birth, ...trace } of run.traces ?? [])
          await tx.insert(traces).values({
            id: trace.id,
            runId: run.id,
            at: trace.at,
            pieceId: trace.pieceId,
            birth,
            data: trace,
          });
      }
    }
  });
  return true;
}
