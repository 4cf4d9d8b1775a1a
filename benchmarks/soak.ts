import { pathOf, routes, type AnyRoute, type JobFile, type RunDocument } from '@kobran/contract';
import { createHash, randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ask, memoryMb, percentile, startKobran, stopKobran, type Answer } from './clients.js';

/**
 * The server under attack, as long as somebody wants: `KILLS=200 REQUESTS=50000 FILES=300 MEGABYTES=100 SEED=1 npm run soak` after a build.
 * Power cuts: `KOBRAN_POWER_CUTS=30 npx vitest run server/src/powerCut.test.ts`. Ends with 1 when anything did not hold.
 */

const count = (name: string, usual: number): number => Number(process.env[name] ?? usual);
const seed = count('SEED', 1);
let drawn = 0;
/** Chance that the same seed repeats. */
const below = (n: number): number =>
  createHash('sha256').update(`${seed} ${drawn++}`).digest().readUInt32LE() % n;
const one = <T>(list: readonly T[]): T => list[below(list.length)];

const runId = '7a0e1d00-0000-4000-8000-00000000a002';
const jobId = '7a0e1d00-0000-4000-8000-00000000b001';
const faults: string[] = [];
const figures: Record<string, number | string> = { seed };
const data = mkdtempSync(join(tmpdir(), 'kobran-soak-'));

/** Killed again and again while it writes: everything it acknowledged is there afterwards. */
async function kills(times: number): Promise<void> {
  const acknowledged: string[] = [];
  const recoveries: number[] = [];
  for (let k = 0; k < times; k++) {
    const kobran = await startKobran({ KOBRAN_DATA: data });
    recoveries.push(kobran.startMs);
    const { facts } = JSON.parse(
      (await ask(kobran.address, 'GET', `/api/runs/${runId}`)).text,
    ) as RunDocument;
    const there = new Set<string>(facts.map(({ id }) => id));
    const lost = acknowledged.filter((id) => !there.has(id));
    if (lost.length > 0) faults.push(`kill ${k}: ${lost.length} acknowledged writes lost`);
    const until = performance.now() + 100 + below(900);
    const writer = async (): Promise<void> => {
      while (performance.now() < until) {
        const id = randomUUID();
        const body = { id, kind: 'note', about: '', text: `kill ${k}`, by: '', at: new Date().toISOString() };
        const answer = await ask(
          kobran.address,
          'POST',
          `/api/runs/${runId}/facts`,
          JSON.stringify(body),
        ).catch(
          () => undefined, // Killed in the middle: nobody was told that it is kept.
        );
        if (answer?.status === 204) acknowledged.push(id);
      }
    };
    const writing = Promise.all(Array.from({ length: 8 }, writer));
    await new Promise((resolve) => setTimeout(resolve, 50 + below(800)));
    await stopKobran(kobran, 'SIGKILL');
    await writing;
  }
  if (times === 0) return;
  recoveries.sort((x, y) => x - y);
  figures.kills = times;
  figures['writes acknowledged'] = acknowledged.length;
  figures['recovery p95, ms'] = Math.round(percentile(recoveries, 0.95));
}

const JUNK: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1.5,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53,
  '',
  'x',
  'x'.repeat(3000),
  '\u0000',
  '\ud800',
  '𝄞',
  '0x10',
  '9999-12-31T23:59:59Z',
  '-000001-01-01T00:00:00Z',
  '2026-W45-2',
  '2026-02-30',
  '2026-11-03T09:00:00+15:59',
  '../../etc',
  [],
  [[]],
  [null],
  {},
  { a: { b: {} } },
  '<script>alert(1)</script>',
  "'; drop table runs; --",
  Array.from({ length: 2000 }, (_, k) => k),
];
const METHODS = ['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD'];

/** A document with one thing or more in it spoilt. */
function spoilt(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || below(4) === 0) return one(JUNK);
  if (Array.isArray(value)) {
    const copy = [...(value as unknown[])];
    if (copy.length === 0 || below(5) === 0) return [...copy, one(JUNK)];
    const k = below(copy.length);
    copy[k] = spoilt(copy[k]);
    return copy;
  }
  const entries = Object.entries(value);
  const choice = below(8);
  if (choice === 0 || entries.length === 0)
    return { ...value, [one(['__proto__', 'x', '', 'constructor', 'id'])]: one(JUNK) };
  const [key, inner] = one<[string, unknown]>(entries);
  const { [key as never]: _, ...rest } = value as Record<string, unknown>;
  return choice === 1 ? rest : { ...rest, [key]: spoilt(inner) };
}

const textOf = (value: unknown): string => {
  const text = JSON.stringify(value) ?? 'undefined';
  switch (below(20)) {
    case 0:
      return text.slice(0, below(text.length + 1));
    case 1:
      return `${'['.repeat(3000)}${text}`;
    case 2:
      return text.replace(/\d+/, '1e999');
    default:
      return text;
  }
};

function judge(what: string, { status, ms, text }: Answer): void {
  // An instrument that does not answer is told so.
  if (status >= 500 && status !== 502 && status !== 504)
    faults.push(`${status} to ${what}: ${text.slice(0, 200)}`);
  // What is drawn or backed up takes its time in a thread: nobody else waits for it.
  if (ms > 1000 && status !== 502 && status !== 504 && !/\.pdf|\/api\/backups|\/import/.test(what))
    faults.push(`${Math.round(ms)} ms for ${what}`);
}

/** Requests of every route, spoilt in every way. */
async function requests(times: number): Promise<void> {
  const kobran = await startKobran({ KOBRAN_DATA: data });
  const { address } = kobran;
  const run = JSON.parse((await ask(address, 'GET', `/api/runs/${runId}`)).text) as RunDocument;
  const at = '2026-11-20T10:00:00.000Z';
  const bodies: unknown[] = [
    { version: run.version, design: run.design },
    { id: randomUUID(), design: run.design },
    { id: randomUUID(), kind: 'note', about: '', text: 'x', by: '', at },
    { id: randomUUID(), name: 'x', site: '' },
    { version: 1, name: 'x', site: '', practice: {} },
    { version: 0, data: { name: 'x' } },
    { at, body: {} },
    { entries: [{ kind: 'stock', data: { id: 'x', matings: 1, count: 1 } }] },
    { kind: 'cut', standing: [], put: [], remove: [], pieces: [], by: '', at },
    {
      id: randomUUID(),
      pieceId: '',
      name: 's',
      far: 'load',
      rained: false,
      by: '',
      at,
      referenceOhm: 50,
      frequencyHz: [1, 2],
      s11: { re: [0, 0], im: [0, 0] },
    },
    { far: 'load', rained: false, wiggled: false },
  ];
  // Restoring and connecting change what the others find, or wait for what is not there.
  const skipped = new Set<AnyRoute>([
    routes.restoreBackup,
    routes.restoreSentBackup,
    routes.makeBackup,
    routes.connectInstrument,
    routes.putOnBench,
  ]);
  const all = (Object.values(routes) as AnyRoute[]).filter((route) => !skipped.has(route));
  const ids = [
    runId,
    jobId,
    randomUUID(),
    'x',
    '%00',
    '..',
    '%2e%2e%2f',
    '00000000-0000-0000-0000-000000000000',
    'a'.repeat(2000),
  ];
  // Threads, the engine's own memory and what is compiled fill up first: flat is measured from a third on.
  const memory = [memoryMb(kobran)];
  let done = 0;
  const client = async (): Promise<void> => {
    while (done++ < times) {
      if (done === Math.ceil(times / 3)) memory.push(memoryMb(kobran));
      const route = one(all);
      const id = (): string => (below(2) === 0 ? runId : one(ids));
      const path = pathOf(route, {
        id: id(),
        traceId: id(),
        key: one(ids),
        kind: one(['cable', 'stock', 'x']),
        name: one(ids),
        query: below(4) === 0 ? { deleted: one(JUNK), end: one(JUNK), count: one(JUNK) } : {},
      });
      const method = below(10) === 0 ? one(METHODS) : route.method;
      const body = method === 'GET' || method === 'HEAD' ? undefined : textOf(spoilt(one(bodies)));
      judge(
        `${method} ${path.slice(0, 120)} ${(body ?? '').slice(0, 300)}`,
        await ask(address, method, path, body),
      );
      if (done % 500 === 0) await ask(address, 'POST', `/api/runs/${runId}/restore`);
      if (done % 500 === 250) await ask(address, 'POST', `/api/jobs/${jobId}/restore`);
    }
  };
  await Promise.all(Array.from({ length: 8 }, client));
  figures.requests = times;
  memory.push(memoryMb(kobran));
  figures['memory at first, at a third and at last, MB'] = memory.map(Math.round).join(', ');
  await stopKobran(kobran);
}

/** Job files spoilt: each is refused with its place, and nothing of it stays. */
async function files(times: number): Promise<void> {
  const kobran = await startKobran({ KOBRAN_DATA: data });
  const { address } = kobran;
  const file = JSON.parse((await ask(address, 'GET', `/api/jobs/${jobId}/file`)).text) as JobFile;
  const jobs = async (): Promise<number> =>
    (JSON.parse((await ask(address, 'GET', '/api/jobs')).text) as unknown[]).length;
  const before = await jobs();
  let taken = 0;
  for (let k = 0; k < times; k++) {
    const text = textOf(spoilt(file));
    const answer = await ask(address, 'POST', '/api/jobs/import', text);
    judge(`a file: ${text.slice(0, 200)}`, { ...answer, ms: 0 });
    if (answer.status === 201) taken++;
    else if (!/"where":"[^"]+"/.test(answer.text)) faults.push(`no place: ${answer.text.slice(0, 200)}`);
  }
  // Some spoiling is none, as another name: that many jobs there are more, and not one else.
  if ((await jobs()) !== before + taken) faults.push('a refused file left a job');
  figures.files = times;
  figures['still sound'] = taken;
  await stopKobran(kobran);
}

/** A job as large as it is asked for goes out, in and out again as it was, and nobody waits meanwhile. */
async function largeJob(megabytes: number): Promise<void> {
  if (megabytes === 0) return;
  const kobran = await startKobran({ KOBRAN_DATA: data });
  const { address } = kobran;
  const points = 10_001;
  const series = (k: number): number[] => Array.from({ length: points }, (_, n) => Math.sin(n * (k + 1)) / 3);
  for (let k = 0; k < megabytes * 0.9; k++) {
    const sweep = {
      id: randomUUID(),
      pieceId: '',
      name: `sweep ${k}`,
      far: 'load',
      rained: false,
      by: '',
      at: '2026-11-20T10:00:00.000Z',
      referenceOhm: 50,
      frequencyHz: Array.from({ length: points }, (_, n) => 1e6 + n * 12_345.678),
      s11: { re: series(k), im: series(k + 0.5) },
      s21: { re: series(k + 0.1), im: series(k + 0.2) },
    };
    const { status, text } = await ask(address, 'POST', `/api/runs/${runId}/traces`, JSON.stringify(sweep));
    if (status !== 204) throw new Error(text);
  }
  const waits: number[] = [];
  let going = true;
  const others = (async () => {
    while (going) {
      waits.push((await ask(address, 'GET', `/api/runs/${runId}/progress`)).ms);
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  })();
  const from = performance.now();
  const out = await ask(address, 'GET', `/api/jobs/${jobId}/file`);
  const exported = performance.now();
  const into = await ask(address, 'POST', `/api/jobs/import?id=${randomUUID()}`, out.text);
  const imported = performance.now();
  if (into.status !== 201) throw new Error(into.text);
  going = false;
  await others;
  waits.sort((x, y) => x - y);
  const again = await ask(address, 'GET', `/api/jobs/${(JSON.parse(into.text) as { id: string }).id}/file`);
  const lasting = (text: string): string =>
    text.replace(/"id":"[^"]*"/g, '').replace(/"exportedAt":"[^"]*"/, '');
  if (lasting(out.text) !== lasting(again.text)) faults.push('the large job is not what it was');
  figures['job file, MB'] = Math.round(out.text.length / 1e6);
  figures['out, s'] = Number(((exported - from) / 1000).toFixed(1));
  figures['in, s'] = Number(((imported - exported) / 1000).toFixed(1));
  figures['others wait, p95 and most, ms'] =
    `${Math.round(percentile(waits, 0.95))} and ${Math.round(waits.at(-1) ?? 0)}`;
  await stopKobran(kobran);
}

try {
  await largeJob(count('MEGABYTES', 0));
  await kills(count('KILLS', 3));
  await requests(count('REQUESTS', 2000));
  await files(count('FILES', 30));
} finally {
  rmSync(data, { recursive: true, force: true });
}
console.table(figures);
console.log(
  faults.length === 0
    ? 'All held.'
    : `${faults.length} did not hold:\n${[...new Set(faults)].slice(0, 30).join('\n')}`,
);
process.exit(faults.length === 0 ? 0 : 1);
