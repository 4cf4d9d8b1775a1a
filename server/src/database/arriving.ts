import { and, eq, inArray, type SQL } from 'drizzle-orm';
import type { Database } from './drivers.js';
import { facts, jobs, logs, pictures, revisions, runs, runSummaries, traces } from './schema.js';

/** Takes away what is left of an import that did not come to its end: nobody has seen any of it. */
export async function forgetArriving(db: Database, which?: SQL): Promise<void> {
  await db.transaction(async (tx) => {
    const gone = tx
      .select({ id: jobs.id })
      .from(jobs)
      .where(and(eq(jobs.arriving, true), which));
    const theirs = tx.select({ id: runs.id }).from(runs).where(inArray(runs.jobId, gone));
    await tx.delete(traces).where(inArray(traces.runId, theirs));
    await tx.delete(facts).where(inArray(facts.runId, theirs));
    await tx.delete(revisions).where(inArray(revisions.runId, theirs));
    await tx.delete(logs).where(inArray(logs.runId, theirs));
    await tx.delete(runSummaries).where(inArray(runSummaries.runId, theirs));
    await tx.delete(runs).where(inArray(runs.jobId, gone));
    await tx.delete(pictures).where(inArray(pictures.jobId, gone));
    await tx.delete(jobs).where(and(eq(jobs.arriving, true), which));
  });
}
