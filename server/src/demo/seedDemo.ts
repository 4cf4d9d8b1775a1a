import { documentHash, onSite, type Site } from '@kobran/core';
import { sql } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { bytesOf, jobs, pictures, runs, shopEntries, traces } from '../database/schema.js';
import { putLog, putRevisions } from '../facts/log.js';
import { traceRow } from '../traces/traceRow.js';
import type { DemoRun } from './demoJob.js';
import { drawnPhotos, noPhotos, type DrawnPhotos } from './demoPhotos.js';
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
  const photos = await drawnPhotos();
  return db.transaction(async (tx) => {
    // Of two who begin at once the second finds what the first has put in.
    await tx.execute(sql`select pg_advisory_xact_lock(${DEMO_LOCK})`);
    const [any] = await tx.select({ id: jobs.id }).from(jobs).limit(1);
    if (any) return false;
    await tx
      .insert(shopEntries)
      .values(shopShelf.map(({ kind, data }) => ({ kind, id: data.id, data })))
      .onConflictDoNothing();
    for (const { id, name, site, practice, place: drawn, photographed, runs: demoRuns } of tarrowmere) {
      const own = photographed ? photos : noPhotos;
      const place = drawn && { ...drawn, ...(photographed ? { photos: own.ofSite } : {}) };
      await tx
        .insert(jobs)
        .values({ id, name, site, practice, ...(place ? { place, placeVersion: 1 } : {}) });
      for (const { base64, ...picture } of own.pictures)
        await tx.insert(pictures).values({ jobId: id, ...picture, bytes: bytesOf(base64) });
      for (const run of demoRuns) await seedRun(tx, { id, place, photos: own }, run);
    }
    return true;
  });
}

async function seedRun(
  tx: Pick<Database, 'select' | 'insert' | 'update'>,
  { id: jobId, place, photos }: { id: string; place: Site | undefined; photos: DrawnPhotos },
  { id, design, facts, handedOver, traces: sweeps = [] }: DemoRun,
): Promise<void> {
  await tx.insert(runs).values({ id, jobId, design });
  const signed = handedOver && onSite(handedOver.design, place);
  await putLog(tx, id, [
    ...facts,
    ...photos.factsOf(id),
    ...(handedOver && signed
      ? [
          {
            id: `${id.slice(0, -4)}5190`,
            kind: 'handed over' as const,
            design: documentHash(signed),
            by: handedOver.by,
            at: handedOver.at,
            reason: handedOver.reason,
          },
        ]
      : []),
  ]);
  if (signed) await putRevisions(tx, id, [signed]);
  for (const trace of sweeps) await tx.insert(traces).values(await traceRow(id, trace));
}
