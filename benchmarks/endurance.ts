import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ask, crowd, memoryMb, percentile, signIn, startKobran, stopKobran } from './clients.js';

/**
 * A crew at work for ten minutes: fifty clients, signed in, who read boards, runs and sweeps and write one entry for every 25 looks, in
 * every run. Memory and waiting should be the same in the last minute as in the second: `npm run endure` after a build; MINUTES=3 for
 * shorter, READ_ONLY=1 without writing.
 */

const MINUTES = Number(process.env.MINUTES ?? 10);
const READ_ONLY = process.env.READ_ONLY === '1';
const CLIENTS = 50;
const LOOKS_PER_ENTRY = 25;

const folder = mkdtempSync(join(tmpdir(), 'kobran-endurance-'));
const kobran = await startKobran({ KOBRAN_DATA: folder, KOBRAN_SIGN_IN: 'everywhere' });
try {
  const cookie = await signIn(kobran.address);
  let errors = 0;
  const timed = async (method: string, path: string, body?: string): Promise<number> => {
    const { status, ms } = await ask(kobran.address, method, path, body, cookie);
    if (status >= 400) errors++;
    return ms;
  };
  const runIds = Array.from({ length: 7 }, (_, k) => `7a0e1d00-0000-4000-8000-00000000a00${k + 1}`);
  const looks = [
    '/api/board',
    '/api/jobs',
    '/api/inspections',
    '/api/me',
    ...runIds.map((id) => `/api/runs/${id}`),
  ];
  const sweeps = runIds.map((id) => `/api/runs/${id}/traces`);
  const act = (k: number): Promise<number> => {
    if (!READ_ONLY && k % LOOKS_PER_ENTRY === 0) {
      const at = new Date().toISOString();
      const entry = { id: randomUUID(), kind: 'note', about: '', text: 'looked at', by: '', at };
      return timed(
        'POST',
        `/api/runs/${runIds[(k / LOOKS_PER_ENTRY) % runIds.length]}/facts`,
        JSON.stringify(entry),
      );
    }
    const paths = k % 5 === 1 ? sweeps : looks;
    return timed('GET', paths[Math.floor(k / 5) % paths.length]);
  };
  for (let minute = 1; minute <= MINUTES; minute++) {
    const times = await crowd(CLIENTS, 60_000, act);
    const [half, p95] = [0.5, 0.95].map((share) => Math.round(percentile(times, share)));
    const memory = Math.round(memoryMb(kobran));
    console.log(
      `minute ${minute}: ${times.length} requests, median ${half} ms, p95 ${p95} ms, ${memory} MB, ${errors} errors so far`,
    );
  }
} finally {
  await stopKobran(kobran);
  rmSync(folder, { recursive: true, force: true });
}
