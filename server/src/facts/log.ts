import { chained, documentHash, EMPTY_LOG, type Fact, type KeptLog } from '@kobran/core';
import { asc, eq, inArray, sql } from 'drizzle-orm';
import type { Database } from '../database/drivers.js';
import { facts, logs, revisions } from '../database/schema.js';
import { idTaken } from '../errors/problem.js';
import { entryOf, rowOf } from '../store/factRows.js';

/** The chained log of a run: entries in the order in which they came here, each with the hash that stands for all before it. */

type Within = Pick<Database, 'select' | 'insert' | 'update'>;

/**
 * Adds facts to the log of a run, in a transaction; those it has already are left out, so that one which is sent twice is kept once.
 *
 * @returns those which are new
 * @throws when another run has a fact under one of these ids
 */
export async function appendFacts(tx: Within, runId: string, added: readonly Fact[]): Promise<Fact[]> {
  const [log] = await tx
    .insert(logs)
    .values({ runId, length: 0, head: EMPTY_LOG })
    // Changes nothing, and holds the row until the end: who comes second goes on behind.
    .onConflictDoUpdate({ target: logs.runId, set: { length: sql`${logs.length}` } })
    .returning();
  const ids = added.map(({ id }) => id);
  const known = await tx
    .select({ id: facts.id, runId: facts.runId })
    .from(facts)
    .where(inArray(facts.id, ids));
  const elsewhere = known.find((one) => one.runId !== runId);
  if (elsewhere) throw idTaken('fact', elsewhere.id);
  const fresh = added.filter(({ id }) => known.every((one) => one.id !== id));
  if (fresh.length === 0) return [];
  const rows = fresh.map((fact) => rowOf(runId, fact));
  const hashes = chained(rows.map(entryOf), log.head);
  await tx.insert(facts).values(rows.map((row, k) => ({ ...row, hash: hashes[k] })));
  await tx
    .update(logs)
    .set({ length: log.length + fresh.length, head: hashes[hashes.length - 1] })
    .where(eq(logs.runId, runId));
  return fresh;
}

/** Rows put in at once: a statement has room for so many, and nobody waits long for it. */
const AT_ONCE = 500;

/**
 * Puts in the whole log of a run which has none. Hashes which came with it stay as they came, right or wrong, so that a check finds here
 * what it would have found there.
 */
export async function putLog(
  db: Within,
  runId: string,
  entries: readonly Fact[],
  came?: Pick<KeptLog, 'hashes' | 'head'>,
): Promise<void> {
  const rows = entries.map((fact) => rowOf(runId, fact));
  const hashes = came?.hashes ?? chained(rows.map(entryOf));
  for (let k = 0; k < rows.length; k += AT_ONCE)
    await db
      .insert(facts)
      .values(rows.slice(k, k + AT_ONCE).map((row, n) => ({ ...row, hash: hashes[k + n] ?? '' })));
  const head = came?.head ?? hashes.at(-1) ?? EMPTY_LOG;
  await db.insert(logs).values({ runId, length: hashes.length, head });
}

/** Keeps designs as they were handed over, each under its hash. */
export async function putRevisions(db: Within, runId: string, designs: readonly object[]): Promise<void> {
  if (designs.length > 0)
    await db
      .insert(revisions)
      .values(designs.map((design) => ({ runId, hash: documentHash(design), design })))
      .onConflictDoNothing();
}

/** The log of a run as it is kept, unchecked. */
export async function readLog(db: Within, runId: string): Promise<KeptLog> {
  const rows = await db.select().from(facts).where(eq(facts.runId, runId)).orderBy(asc(facts.came));
  const [log] = await db.select().from(logs).where(eq(logs.runId, runId));
  return {
    facts: rows.map(entryOf),
    // A row taken out at the end leaves its place in the count.
    hashes: [...rows.map(({ hash }) => hash ?? ''), ...missing((log?.length ?? 0) - rows.length)],
    head: log?.head ?? EMPTY_LOG,
  };
}

const missing = (count: number): string[] => Array.from({ length: Math.max(0, count) }, () => '');
