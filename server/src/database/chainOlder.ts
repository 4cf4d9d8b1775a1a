import { chained, EMPTY_LOG } from '@kobran/core';
import { asc, eq, isNull, sql } from 'drizzle-orm';
import { entryOf } from '../store/factRows.js';
import type { Database } from './drivers.js';
import { facts, logs } from './schema.js';

/** Chains the rows which an older Kobran kept, run after run: cut off, it goes on at the next start. */
export async function chainOlder(db: Database): Promise<void> {
  const open = await db.selectDistinct({ runId: facts.runId }).from(facts).where(isNull(facts.hash));
  for (const { runId } of open)
    await db.transaction(async (tx) => {
      const rows = await tx.select().from(facts).where(eq(facts.runId, runId)).orderBy(asc(facts.came));
      const hashes = chained(rows.map(entryOf));
      const chain = JSON.stringify(rows.map(({ id }, k) => ({ id, hash: hashes[k] })));
      await tx.execute(
        sql`update facts set hash = v.hash from json_to_recordset(${chain}::json) as v(id uuid, hash text) where facts.id = v.id`,
      );
      const log = { length: rows.length, head: hashes.at(-1) ?? EMPTY_LOG };
      await tx
        .insert(logs)
        .values({ runId, ...log })
        .onConflictDoUpdate({ target: logs.runId, set: log });
    });
}
