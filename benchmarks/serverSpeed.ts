import { PGlite } from '@electric-sql/pglite';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Pool } from 'pg';
import { extensions } from '../server/src/database/extensions.js';
import { hasPostgres, OwnPostgres } from '../server/src/postgres.fixture.js';
import { ask, crowd, memoryMb, percentile, signIn, startKobran, stopKobran } from './clients.js';

/**
 * How fast the server is beside the queries it cannot do without, on the embedded database and on a PostgreSQL of its own where one is
 * installed: `npm run speed` after a build. Ratios of one run on one machine count, not its milliseconds; SECONDS=60 for longer, SIGN_IN=1 with
 * everybody signed in.
 */

const MS = Number(process.env.SECONDS ?? 10) * 1000;
const SIGNED_IN = process.env.SIGN_IN === '1';
const CLIENTS = 50;
const runId = '7a0e1d00-0000-4000-8000-00000000a001';
const busyRunId = '7a0e1d00-0000-4000-8000-00000000a003';

/** A query with its values, by an engine with nothing round it. */
type Query = (text: string, values: unknown[]) => Promise<unknown>;

/** What Kobran takes under load, and the same rows by the bare engine, as many at once. */
async function measure(
  env: Record<string, string>,
  bare: () => Promise<{ query: Query; close: () => Promise<void> }>,
): Promise<Record<string, number | string>> {
  await stopKobran(await startKobran(env));
  const kobran = await startKobran({ ...env, ...(SIGNED_IN ? { KOBRAN_SIGN_IN: 'everywhere' } : {}) });
  const cookie = SIGNED_IN ? await signIn(kobran.address) : undefined;
  let errors = 0;
  const timed = async (method: string, path: string, body?: string): Promise<number> => {
    const { status, ms } = await ask(kobran.address, method, path, body, cookie);
    if (status >= 400) errors++;
    return ms;
  };
  const read = await crowd(CLIENTS, MS, () => timed('GET', `/api/runs/${runId}`));
  const paths = [
    '/api/jobs',
    `/api/runs/${runId}`,
    '/api/shop',
    `/api/runs/${runId}/traces`,
    `/api/runs/${runId}/progress`,
  ];
  const mixed = await crowd(CLIENTS, MS, (k) =>
    k % 10 === 0
      ? timed('POST', `/api/runs/${busyRunId}/facts`, note())
      : timed('GET', paths[k % paths.length]),
  );
  const memory = [memoryMb(kobran)];
  // What is compiled and held ready fills up first: flat is measured from here on.
  await crowd(CLIENTS, MS, (k) => timed('GET', paths[k % paths.length]));
  memory.push(memoryMb(kobran));
  await stopKobran(kobran);
  const { query, close } = await bare();
  const raw = await crowd(CLIENTS, MS, async () => {
    const from = performance.now();
    await query('select r.* from runs r join jobs j on j.id = r.job_id where r.id = $1', [runId]);
    await query('select * from facts where run_id = $1 order by at', [runId]);
    return performance.now() - from;
  });
  await close();
  const rate = (times: readonly number[]): number => Math.round((times.length / MS) * 1000);
  const p95 = (times: readonly number[]): number => Math.round(percentile(times, 0.95));
  return {
    'warm start, ms': Math.round(kobran.startMs),
    'reading a run, 1/s': rate(read),
    'reading a run, p95, ms': p95(read),
    'mixed, 1/s': rate(mixed),
    'mixed, p95, ms': p95(mixed),
    'memory after mixed, and after as long again, MB': memory.map(Math.round).join(', '),
    errors,
    'raw queries, 1/s': rate(raw),
    'raw queries, p95, ms': p95(raw),
    'p95 of reading a run over raw': Number((percentile(read, 0.95) / percentile(raw, 0.95)).toFixed(2)),
  };
}

const note = (): string =>
  JSON.stringify({
    id: randomUUID(),
    kind: 'note',
    about: '',
    text: 'x',
    by: '',
    at: new Date().toISOString(),
  });

const folder = mkdtempSync(join(tmpdir(), 'kobran-speed-'));
const postgres = hasPostgres ? new OwnPostgres() : undefined;
const figures: Record<string, Record<string, number | string>> = {};
try {
  figures.embedded = await measure({ KOBRAN_DATA: folder }, async () => {
    const engine = await PGlite.create(join(folder, 'database'), { extensions });
    return { query: (text, values) => engine.query(text, values), close: () => engine.close() };
  });
  if (postgres) {
    await postgres.make();
    const { url } = postgres;
    figures.PostgreSQL = await measure({ KOBRAN_DATA: `${folder}-beside`, DATABASE_URL: url }, () => {
      const pool = new Pool({ connectionString: url });
      // The server is stopped as soon as it was measured; a connection it cuts then is no fault.
      pool.on('error', () => undefined);
      return Promise.resolve({
        query: (text, values) => pool.query(text, values),
        close: () => pool.end(),
      });
    });
  } else process.stdout.write('No PostgreSQL is installed: only the embedded database was measured.\n');
} finally {
  await postgres?.remove();
  for (const one of [folder, `${folder}-beside`]) rmSync(one, { recursive: true, force: true });
}
const [first] = Object.values(figures);
console.table(
  Object.fromEntries(
    Object.keys(first).map((name) => [
      name,
      Object.fromEntries(Object.entries(figures).map(([of, values]) => [of, values[name]])),
    ]),
  ),
);
