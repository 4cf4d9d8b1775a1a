import { PGlite } from '@electric-sql/pglite';
import type { JobDocument, RunDocument, StoredTrace } from '@kobran/contract';
import { catalog, factText } from '@kobran/core';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp, type RunningApp } from '../app.js';
import { configIn } from '../demoServer.fixture.js';
import { preparedImage } from './image.js';

/** Rows of every table as version 0006 wrote them, with the demo jobs, and one line of every kind its log knew. */
const rows = JSON.parse(
  readFileSync(fileURLToPath(new URL('versions/0006.json', import.meta.url)), 'utf8'),
) as Record<string, Record<string, unknown>[]>;

const RUN = '7a0e1d00-0000-4000-8000-00000000a001';
const at = '2026-11-12T10:00:00.000Z';
const id = (k: number): string => `11111111-0000-4000-8000-${String(k).padStart(12, '0')}`;
const end = { part: 'n-plug-crimp-10mm', cable: 'rg213', recipe: 'crimp-bnc', work: 're-end' };
const line = (k: number, kind: string, about: string, text: string, over: object = {}) => ({
  id: id(k),
  run_id: RUN,
  kind,
  about,
  text,
  by: 'Wenna',
  at,
  end_record: null,
  trim_record: null,
  power_record: null,
  ...over,
});
const power = { frequencyHz: 145e6, forwardW: 25, reflectedW: 1 };
const oldLog = [
  line(1, 'end made', 'main.a', 'before records were kept'),
  line(2, 'deviation', 'main.a', 'no grease (at Body)', { end_record: end }),
  line(3, 'damaged', 'main.b', 'Crushed: 120 mm cut off', { end_record: { ...end, lostM: 0.12 } }),
  line(4, 'note', 'main.a', 'N plug: adhesive shrink', { end_record: { ...end, work: 'shrink' } }),
  line(5, 'cut', 'main', 'cut to 21.6 m from Drum 7'),
  line(6, 'not cut', 'main', 'not cut after all'),
  line(7, 'trimmed', 'main', 'a resonance without figures'),
  line(8, 'power step', '', '25 W forward', { power_record: power }),
  line(9, 'power step', '', 'all well at 25 W'),
  line(10, 'bonded', '', 'arrester bonded to the entry’s rod'),
  line(11, 'sealed', 'main>antenna', '2 passes of rubber, vinyl over it'),
  line(12, 'handed over', '', 'handed over with 1 caution'),
  line(13, 'note', '', 'looked at'),
];

const folder = mkdtempSync(join(tmpdir(), 'kobran-upgrade-'));
const kobran = { running: undefined as RunningApp | undefined };
const api = () => {
  if (!kobran.running) throw new Error('not started');
  return request(kobran.running.app.getHttpServer());
};

/** Makes a data folder as version 0006 left it: its migrations, then its rows. */
async function olderFolder(): Promise<void> {
  const drizzleFolder = fileURLToPath(new URL('../../drizzle', import.meta.url));
  const older = join(folder, 'older-migrations');
  cpSync(drizzleFolder, older, { recursive: true });
  const journalFile = join(older, 'meta/_journal.json');
  const journal = JSON.parse(readFileSync(journalFile, 'utf8')) as { entries: { idx: number }[] };
  writeFileSync(
    journalFile,
    JSON.stringify({ ...journal, entries: journal.entries.filter(({ idx }) => idx <= 6) }),
  );
  mkdirSync(join(folder, 'data'));
  const image = await preparedImage();
  const client = await PGlite.create({
    dataDir: join(folder, 'data/database'),
    ...(image ? { loadDataDir: image } : {}),
  });
  await migrate(drizzle(client), { migrationsFolder: older });
  const all: typeof rows = { ...rows, log_entries: [...rows.log_entries, ...oldLog] };
  // A trace which was deleted, made birth record, and whose piece got another one meanwhile: two stood after restoring it.
  const [trace] = all.traces;
  const second = { ...trace, id: id(99), data: { ...(trace.data as object), id: id(99), birth: true } };
  all.traces = [
    { ...trace, data: { ...(trace.data as object), birth: true } },
    second,
    ...all.traces.slice(1),
  ];
  for (const table of ['jobs', 'runs', 'readings', 'log_entries', 'traces', 'shop_entries', 'instruments'])
    await client.query(`insert into ${table} select * from json_populate_recordset(null::${table}, $1)`, [
      JSON.stringify(all[table]),
    ]);
  await client.close();
}

const start = async (): Promise<void> => {
  kobran.running = await createApp(configIn(join(folder, 'data'), { demo: true }));
};

beforeAll(async () => {
  await olderFolder();
  await start();
});
afterAll(async () => {
  await kobran.running?.stop();
  rmSync(folder, { recursive: true });
});

describe('a data folder of an older version', () => {
  it('keeps every job, run and design as it was', async () => {
    const jobs = (await api().get('/api/jobs').expect(200)).body as JobDocument[];
    expect(jobs.map(({ name }) => name).toSorted()).toEqual(rows.jobs.map(({ name }) => name).toSorted());
    for (const row of rows.runs) {
      const run = (
        await api()
          .get(`/api/runs/${String(row.id)}`)
          .expect(200)
      ).body as RunDocument;
      expect(run.design).toEqual(row.design);
      expect(run.version).toBe(row.version);
      expect(run.damaged).toBeUndefined();
    }
  });

  it('keeps every reading and every line of the log, with its words, its hand and its moment', async () => {
    const { facts } = (await api().get(`/api/runs/${RUN}`)).body as RunDocument;
    const before = [...rows.log_entries.filter((row) => row.run_id === RUN), ...oldLog];
    for (const row of before) {
      const fact = facts.find((one) => one.id === row.id);
      if (!fact) throw new Error(`${String(row.id)} is lost`);
      expect(factText(fact, catalog)).toBe(row.text);
      expect(fact).toMatchObject({ by: row.by, at: new Date(String(row.at)).toISOString() });
    }
    const read = rows.readings.filter((row) => row.run_id === RUN);
    expect(facts.filter(({ kind }) => kind === 'reading')).toHaveLength(read.length);
    expect(facts).toHaveLength(before.length + read.length);
  });

  it('old kinds have become today’s, with their figures', async () => {
    const { facts } = (await api().get(`/api/runs/${RUN}`)).body as RunDocument;
    const of = (k: number) => facts.find((one) => one.id === id(k));
    expect(of(1)).toEqual({
      id: id(1),
      kind: 'end made',
      endId: 'main.a',
      wording: 'before records were kept',
      by: 'Wenna',
      at,
    });
    expect(of(3)).toMatchObject({ kind: 'damaged', endId: 'main.b', end: { lostM: 0.12 } });
    expect(of(4)).toMatchObject({ kind: 'shrink fitted', end: { work: 'shrink' } });
    expect(of(5)).toMatchObject({ kind: 'cut', pieceId: 'main' });
    expect(of(7)).toMatchObject({ kind: 'note', text: 'a resonance without figures' });
    expect(of(8)).toMatchObject({ kind: 'power step', power });
    expect(of(9)).toMatchObject({ kind: 'note' });
    expect(of(10)).toMatchObject({ kind: 'grounded' });
    expect(of(11)).toMatchObject({ kind: 'sealed', jointId: 'main>antenna' });
  });

  it('of two birth records of one piece one is left', async () => {
    const [{ run_id: runId, data }] = rows.traces as { run_id: string; data: { pieceId: string } }[];
    const traces = (await api().get(`/api/runs/${runId}/traces`)).body as StoredTrace[];
    const births = traces.filter(({ birth, pieceId }) => birth && pieceId === data.pieceId);
    expect(births).toHaveLength(1);
    expect(traces.length).toBe(rows.traces.filter((row) => row.run_id === runId).length + 1);
  });

  it('samples which stood in the document are read as they were', async () => {
    const {
      run_id: runId,
      id: traceId,
      data,
    } = rows.traces[0] as Record<string, string> & { data: StoredTrace };
    const trace = (await api().get(`/api/runs/${runId}/traces/${traceId}`).expect(200)).body as StoredTrace;
    expect(trace.frequencyHz).toEqual(data.frequencyHz);
    expect(trace.s11).toEqual(data.s11);
  });

  it('opens again just so: the upgrade is done once', async () => {
    const before = (await api().get(`/api/runs/${RUN}`)).body as RunDocument;
    await kobran.running?.stop();
    await start();
    expect((await api().get(`/api/runs/${RUN}`)).body).toEqual(before);
  });
});
