import { PGlite } from '@electric-sql/pglite';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ask, crowd, percentile, startKobran, stopKobran } from './clients.js';

/**
 * How fast the server is beside the queries it cannot do without: `npm run speed` after a build. Ratios of one run on one machine count,
 * not its milliseconds; SECONDS=60 for longer.
 */

const MS = Number(process.env.SECONDS ?? 10) * 1000;
const CLIENTS = 50;
const runId = '7a0e1d00-0000-4000-8000-00000000a001';

const data = mkdtempSync(join(tmpdir(), 'kobran-speed-'));
const figures: Record<string, string | number> = {};
try {
  await stopKobran(await startKobran({ KOBRAN_DATA: data }));
  const kobran = await startKobran({ KOBRAN_DATA: data });
  figures['warm start, ms'] = Math.round(kobran.startMs);
  const { address } = kobran;
  let errors = 0;
  const timed = async (method: string, path: string, body?: string): Promise<number> => {
    const { status, ms } = await ask(address, method, path, body);
    if (status >= 400) errors++;
    return ms;
  };
  const read = await crowd(CLIENTS, MS, () => timed('GET', `/api/runs/${runId}`));
  figures['reading a run, 1/s'] = Math.round((read.length / MS) * 1000);
  figures['reading a run, p95, ms'] = Math.round(percentile(read, 0.95));
  const note = (): string =>
    JSON.stringify({
      id: randomUUID(),
      kind: 'note',
      about: '',
      text: 'x',
      by: '',
      at: new Date().toISOString(),
    });
  const paths = [
    '/api/jobs',
    `/api/runs/${runId}`,
    '/api/shop',
    `/api/runs/${runId}/traces`,
    `/api/runs/${runId}/progress`,
  ];
  const busy = '7a0e1d00-0000-4000-8000-00000000a003';
  const mixed = await crowd(CLIENTS, MS, (k) =>
    k % 10 === 0 ? timed('POST', `/api/runs/${busy}/facts`, note()) : timed('GET', paths[k % paths.length]),
  );
  figures['mixed, 1/s'] = Math.round((mixed.length / MS) * 1000);
  figures['mixed, p95, ms'] = Math.round(percentile(mixed, 0.95));
  figures.errors = errors;
  await stopKobran(kobran);

  // The same rows by the same engine with nothing round it, as many at once.
  const engine = await PGlite.create(join(data, 'database'));
  const raw = await crowd(CLIENTS, MS, async () => {
    const from = performance.now();
    await engine.query('select r.* from runs r join jobs j on j.id = r.job_id where r.id = $1', [runId]);
    await engine.query('select * from facts where run_id = $1 order by at', [runId]);
    return performance.now() - from;
  });
  await engine.close();
  figures['raw queries, 1/s'] = Math.round((raw.length / MS) * 1000);
  figures['raw queries, p95, ms'] = Math.round(percentile(raw, 0.95));
  figures['p95 of reading a run over raw'] = Number(
    (percentile(read, 0.95) / percentile(raw, 0.95)).toFixed(2),
  );
} finally {
  rmSync(data, { recursive: true, force: true });
}
console.table(figures);
