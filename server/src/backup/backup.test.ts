import type {
  ApiProblem,
  BackupSummary,
  JobDocument,
  RestoredBackup,
  RunDocument,
  StoredTrace,
} from '@kobran/contract';
import { checkLog, type KeptLog } from '@kobran/core';
import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { gunzipSync, gzipSync } from 'node:zlib';
import { afterAll, describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';
import { tarrowmere } from '../demo/tarrowmere.js';
import { background } from '../work/background.js';
import { BACKUP_SCHEMA, readBackup, writeBackup } from './backupFile.js';
import { Backups } from './backups.js';
import type { Line } from './rows.js';

const { api, folder: data } = demoServer();
const [job] = tarrowmere;
const runPath = `/api/runs/${job.runs[0].id}`;
const scratch = mkdtempSync(join(tmpdir(), 'kobran-backup-test-'));
afterAll(() => rmSync(scratch, { recursive: true, force: true }));

const bytesOf = async (name: string): Promise<Buffer> =>
  (await api().get(`/api/backups/${name}`).buffer(true).parse(binary).expect(200)).body as Buffer;
function binary(response: unknown, done: (error: Error | null, body: Buffer) => void): void {
  const chunks: Buffer[] = [];
  const stream = response as NodeJS.ReadableStream;
  stream.on('data', (chunk: Buffer) => chunks.push(chunk));
  stream.on('end', () => done(null, Buffer.concat(chunks)));
}
const send = (bytes: Buffer) =>
  api().post('/api/backups/restore').set('Content-Type', 'application/octet-stream').send(bytes);
const made = async (): Promise<BackupSummary> =>
  (await api().post('/api/backups').expect(201)).body as BackupSummary;

describe('a backup', () => {
  it('brings everything back as it was, and keeps what stood before it', async () => {
    const before = (await api().get(runPath)).body as RunDocument;
    const traces = (await api().get(`${runPath}/traces`)).body as { id: string }[];
    const samples = (await api().get(`${runPath}/traces/${traces[0].id}`)).body as object;
    const { name } = await made();

    const note = {
      id: randomUUID(),
      kind: 'note',
      about: '',
      text: 'too late',
      by: '',
      at: '2026-11-20T10:00:00Z',
    };
    await api().post(`${runPath}/facts`).send(note).expect(204);
    await api()
      .put(runPath)
      .send({ version: before.version, design: { ...before.design, name: 'Changed' } })
      .expect(200);
    await api().delete(`/api/jobs/${tarrowmere[1].id}`).expect(204);

    const restored = (await api().post(`/api/backups/${name}/restore`).expect(200)).body as RestoredBackup;
    expect((await api().get(runPath)).body).toEqual(before);
    expect((await api().get(`${runPath}/traces/${traces[0].id}`)).body).toEqual(samples);
    await api().get(`/api/jobs/${tarrowmere[1].id}`).expect(200);

    await send(await bytesOf(restored.before)).expect(200);
    const after = (await api().get(runPath)).body as RunDocument;
    expect(after.design.name).toBe('Changed');
    expect(after.facts.some(({ id }) => id === note.id)).toBe(true);
    // New rows come behind those which were restored.
    const late = { ...note, id: randomUUID(), text: 'later still' };
    await api().post(`${runPath}/facts`).send(late).expect(204);
    const { facts } = (await api().get(runPath)).body as RunDocument;
    const said = facts.map(({ id }) => id).filter((id) => [note.id, late.id].some((one) => one === id));
    expect(said).toEqual([note.id, late.id]);
  });

  it('which is cut off, changed, newer or none is refused in words, and nothing changes', async () => {
    const bytes = await bytesOf((await made()).name);
    const before = (await api().get('/api/jobs')).text;
    const text = gunzipSync(bytes).toString();
    const spoilt: [Buffer, RegExp][] = [
      [bytes.subarray(0, bytes.length / 2), /cut off/],
      [gzipSync(text.replace('Wenna', 'Venna')), /changed/],
      [gzipSync(text.replace(/"migrations":\d+/, '"migrations":9999')), /newer Kobran/],
      [gzipSync(text.split('\n').slice(0, -2).join('\n')), /cut off/],
      [Buffer.from('{"schema":"something else"}'), /no backup/],
      [Buffer.alloc(0), /cut off|no backup/],
    ];
    for (const [file, why] of spoilt) {
      const response = await send(file);
      const body = response.body as ApiProblem;
      expect([response.status, body.code]).toEqual([400, 'backup.unusable']);
      expect(body.message).toMatch(why);
    }
    expect((await api().get('/api/jobs')).text).toBe(before);
  });

  it.each([
    ['0006', 7, ['readings', 'log_entries']],
    ['0007', 8, ['facts']],
    ['0008', 9, ['facts']],
    ['0009', 10, ['facts']],
    ['0010', 11, ['facts']],
    ['0013', 14, ['facts']],
  ] as const)('of an older Kobran (%s) is brought up to date', async (version, migrations, tables) => {
    const versions = fileURLToPath(new URL(`../database/versions/${version}.json`, import.meta.url));
    const rows = JSON.parse(readFileSync(versions, 'utf8')) as Record<string, Record<string, unknown>[]>;
    async function* lines(): AsyncIterable<Line> {
      for (const [table, all] of Object.entries(rows))
        for (const row of all) yield await Promise.resolve({ table, row: JSON.stringify(row) });
    }
    const file = join(scratch, version);
    const madeAt = '2026-11-01T00:00:00.000Z';
    await writeBackup(file, { schema: BACKUP_SCHEMA, madeAt, migrations }, lines());
    const sent = await send(readFileSync(file));
    expect(sent.status, JSON.stringify(sent.body)).toBe(200);
    const [first] = rows.runs;
    const path = `/api/runs/${String(first.id)}`;
    const run = (await api().get(path).expect(200)).body as RunDocument;
    expect(run.design).toEqual(first.design);
    const before = tables.flatMap((table) => rows[table]).filter(({ run_id: of }) => of === first.id);
    expect(run.facts).toHaveLength(before.length);
    // From 0011 on each entry is chained to the one before; what was written earlier is chained as it comes in.
    const log = (await api().get(`${path}/log`).expect(200)).body as KeptLog;
    expect(checkLog(log)).toMatchObject({ sound: true, entries: before.length });
    expect(log.hashes).toHaveLength(before.length);
    const [trace] = rows.traces as { id: string; run_id: string; data: { s11?: object } }[];
    const read = (await api().get(`/api/runs/${trace.run_id}/traces/${trace.id}`).expect(200))
      .body as StoredTrace;
    // From 0008 on the samples are bytes beside the document.
    if (trace.data.s11) expect(read).toMatchObject({ s11: trace.data.s11 });
    expect(read.s11.re).toHaveLength(read.frequencyHz.length);
  });

  it('is of one moment: what is written meanwhile is in it whole or not at all', async () => {
    const [{ name }] = await Promise.all([
      made(),
      ...Array.from({ length: 5 }, async () => {
        await api().post('/api/jobs').send({ id: randomUUID(), name: 'Meanwhile', site: '' }).expect(201);
      }),
    ]);
    for await (const { row } of readBackup(join(data, 'backups', name))) JSON.parse(row);
  });

  it('is not made where it would take the room which the data need', async () => {
    const huge = join(data, 'backups', 'kobran-daily-20991231-000000000.kobran-backup');
    writeFileSync(huge, '');
    truncateSync(huge, 4e12);
    const response = await api().post('/api/backups');
    rmSync(huge);
    const body = response.body as ApiProblem;
    expect([response.status, body.code]).toEqual([507, 'disk.full']);
    expect(body.message).toContain('a backup wants');
    await made();
  });

  it('a name which leads elsewhere is no backup', async () => {
    await api().get('/api/backups/..%2Fkobran.lock').expect(404);
    await api().post('/api/backups/kobran-daily-1/restore').expect(404);
  });
});

describe('deleted things', () => {
  it('a run is listed and comes back', async () => {
    const [first] = ((await api().get('/api/jobs')).body as { id: string }[]).slice(0, 1);
    const { runs } = (await api().get(`/api/jobs/${first.id}`)).body as JobDocument;
    await api().delete(`/api/runs/${runs[0].id}`).expect(204);
    const listed = (await api().get('/api/deleted/runs').expect(200)).body as { id: string; name: string }[];
    expect(listed.map(({ name }) => name)).toContain(runs[0].design.name);
    await api().post(`/api/runs/${runs[0].id}/restore`).expect(200);
    expect((await api().get('/api/deleted/runs')).body).toEqual([]);
  });

  it('an entry of the shop is listed and comes back, unless another took its place', async () => {
    const path = '/api/shop/stock/bnc-jack-n-plug';
    const entry = { version: 0, data: { matings: 2, count: 2 } };
    const first = await api().put(path).send(entry);
    expect(first.status, JSON.stringify(first.body)).toBe(200);
    await api().delete(path).expect(204);
    expect((await api().get('/api/deleted/entries')).body).toMatchObject([
      { kind: 'stock', id: 'bnc-jack-n-plug' },
    ]);
    await api().post(`${path}/restore`).expect(204);
    await api().delete(path).expect(204);
    await api().put(path).send(entry).expect(200);
    await api().post(`${path}/restore`).expect(409);
  });
});

describe('backups of every day', () => {
  it('seven days and eight weeks are kept, and all others of them go; those made by hand stay', async () => {
    const folder = mkdtempSync(join(scratch, 'rotated-'));
    const named = (reason: string, at: number): string =>
      `kobran-${reason}-${new Date(at).toISOString().replace(/[-:.]/g, '').replace('T', '-').replace('Z', '')}.kobran-backup`;
    const start = Date.UTC(2026, 0, 1, 12);
    for (let day = 0; day < 100; day++)
      writeFileSync(join(folder, named('daily', start + day * 24 * 3600e3)), '');
    writeFileSync(join(folder, named('by-hand', start)), '');
    const threads = background('backup/scratch.worker.js');
    const backups = new Backups(folder, threads);
    await backups.rotate();
    await threads.destroy();
    const left = (await backups.list()).filter(({ reason }) => reason === 'daily');
    const days = left.map(({ madeAt }) => Math.round((Date.parse(madeAt) - start) / (24 * 3600e3)));
    expect(days.slice(0, 7)).toEqual([99, 98, 97, 96, 95, 94, 93]);
    expect(left.length).toBeGreaterThanOrEqual(7 + 7);
    expect(left.length).toBeLessThanOrEqual(7 + 8);
    expect(Math.max(...days.slice(7).map((day, k, all) => (k > 0 ? all[k - 1] - day : 0)))).toBe(7);
    expect((await backups.list()).some(({ reason }) => reason === 'by-hand')).toBe(true);
  });
});

describe('at the command line', () => {
  const run = promisify(execFile);
  const kobran = fileURLToPath(new URL('../../../cli/bin/kobran.js', import.meta.url));
  const main = fileURLToPath(new URL('../../dist/kobran.js', import.meta.url));

  it('a damaged folder names its newest whole backup, which restores it; what stood there is kept', async () => {
    const folder = mkdtempSync(join(scratch, 'data-'));
    const env = { ...process.env, KOBRAN_DATA: folder, KOBRAN_DEMO: '1', KOBRAN_LOG: 'silent', PORT: '0' };
    const { name } = await made();
    const file = join(scratch, 'by-hand.kobran-backup');
    writeFileSync(file, await bytesOf(name));
    mkdirSync(join(folder, 'database/base'), { recursive: true });
    await run('cp', ['-r', join(data, 'backups'), join(folder, 'backups')]);
    const failed = await run(process.execPath, [main], { env }).catch((error: { stderr: string }) => error);
    expect(failed.stderr).toMatch(/damaged: PG_VERSION, .*left as it is/);
    const [, offered] = /npx kobran restore (\S+)/.exec(failed.stderr) ?? [];
    await run(process.execPath, [kobran, 'restore', offered], { env });
    expect(readdirSync(folder).some((one) => one.startsWith('database.before-'))).toBe(true);
    const again = join(scratch, 'again.kobran-backup');
    await run(process.execPath, [kobran, 'backup', again], { env });
    const rows = async (path: string): Promise<string[]> => {
      const all: string[] = [];
      for await (const { row } of readBackup(path)) all.push(row);
      return all;
    };
    expect(await rows(again)).toEqual(await rows(file));
  });
});
