import type {
  ApiProblem,
  BoardPage,
  JobDocument,
  JobFile,
  JobSummary,
  ListedTrace,
  RunDocument,
} from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type RequestListener } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp, type RunningApp } from './app.js';
import { Changes } from './database/changes.js';
import { configIn } from './demoServer.fixture.js';
import { tarrowmere } from './demo/tarrowmere.js';
import { hasPostgres, OwnPostgres } from './postgres.fixture.js';

/** Kobran on a PostgreSQL server, as DATABASE_URL has it: the same code, and what only happens there. */

const folder = mkdtempSync(join(tmpdir(), 'kobran-on-postgres-'));
const running: RunningApp[] = [];

async function open(url: string): Promise<RunningApp> {
  const one = await createApp(
    configIn(join(folder, String(running.length)), {
      demo: true,
      database: { url },
      door: { address: '127.0.0.1', port: 0, encryption: { kind: 'proxy' }, names: ['hut.example'] },
    }),
  );
  running.push(one);
  return one;
}
const api = (k: number): ReturnType<typeof request> => request(running[k].app.getHttpServer());

if (!hasPostgres)
  console.warn('There is no PostgreSQL here: its tests are skipped (Debian: apt-get install postgresql).');

describe.skipIf(!hasPostgres)('on a PostgreSQL server', () => {
  const postgres = new OwnPostgres();
  const [job] = tarrowmere;
  const runId = job.runs[0].id;

  beforeAll(async () => {
    await postgres.make();
    // Two which start together on an empty database.
    await Promise.all([open(postgres.url), open(postgres.url)]);
  });
  afterAll(async () => {
    for (const { stop } of running) await stop();
    await postgres.remove();
    rmSync(folder, { recursive: true, force: true });
  });

  it('two servers that start together on an empty database make one of everything', async () => {
    const lists = await Promise.all(
      [0, 1].map(async (k) => (await api(k).get('/api/jobs').expect(200)).body as JobSummary[]),
    );
    expect(lists[0].map(({ name }) => name)).toEqual(tarrowmere.map(({ name }) => name));
    expect(lists[1]).toEqual(lists[0]);
  });

  it('one reel is cut once, whoever else wants it at the same moment', async () => {
    const reel = {
      id: 'drum-raced',
      name: 'Raced',
      cable: 'rg213',
      lengthM: 100,
      lot: '',
      isNew: true,
      damaged: [],
    };
    const { id: _, ...rest } = reel;
    const put = await api(0).put(`/api/shop/reel/${reel.id}`).send({ version: 0, data: rest }).expect(200);
    const { version, data } = put.body as { version: number; data: object };
    const cut = (k: number) =>
      api(k % 2)
        .post('/api/cuttings')
        .send({
          kind: 'cut',
          standing: [{ id: reel.id, version }],
          put: [{ ...data, lengthM: 95 }],
          remove: [],
          pieces: [{ id: randomUUID(), runId, pieceId: 'main', lengthM: 5, reel: reel.id }],
          by: 'Wenna',
          at: '2026-11-20T10:00:00.000Z',
        });
    const answers = await Promise.all(Array.from({ length: 12 }, (_, k) => cut(k)));
    const statuses = answers.map(({ status }) => status);
    expect(statuses.filter((status) => status === 204)).toHaveLength(1);
    expect(statuses.filter((status) => status === 409)).toHaveLength(11);
    const { facts } = (await api(0).get(`/api/runs/${runId}`).expect(200)).body as RunDocument;
    expect(facts.filter((fact) => fact.kind === 'cut' && fact.reel === reel.id)).toHaveLength(1);
  });

  it('many who write one design: one of each version wins, the others are told', async () => {
    const { version, design } = (await api(0).get(`/api/runs/${runId}`).expect(200)).body as RunDocument;
    const answers = await Promise.all(
      Array.from({ length: 10 }, (_, k) =>
        api(k % 2)
          .put(`/api/runs/${runId}`)
          .send({ version, design: { ...design, name: `Writer ${k}` } }),
      ),
    );
    expect(answers.map(({ status }) => status).toSorted((x, y) => x - y)).toEqual([
      200,
      ...Array.from({ length: 9 }, () => 409),
    ]);
  });

  it('many who make birth records leave one', async () => {
    const path = `/api/runs/${runId}/traces`;
    const sweep = (id: string) => ({
      id,
      pieceId: 'main',
      name: 'a sweep',
      far: 'load',
      rained: false,
      by: '',
      at: '2026-11-20T10:00:00.000Z',
      referenceOhm: 50,
      frequencyHz: [1e6, 2e6],
      s11: { re: [0, 0], im: [0, 0] },
    });
    const ids = Array.from({ length: 6 }, () => randomUUID());
    for (const id of ids) await api(0).post(path).send(sweep(id)).expect(204);
    const answers = await Promise.all(ids.map((id, k) => api(k % 2).post(`${path}/${id}/birth`)));
    expect(answers.map(({ status }) => status)).toEqual(ids.map(() => 204));
    const listed = (await api(1).get(path).expect(200)).body as ListedTrace[];
    expect(listed.filter(({ birth, pieceId }) => birth && pieceId === 'main')).toHaveLength(1);
  });

  it('what one server adds to the catalogue the other knows', async () => {
    const [shelf] = (
      (await api(0).get('/api/shop').expect(200)).body as { entries: { kind: string; data: object }[] }
    ).entries.filter(({ kind }) => kind === 'cable');
    const { version: _, ...data } = { version: 0, ...shelf.data, id: 'new-cable', name: 'New cable' };
    await api(0).put('/api/shop/cable/new-cable').send({ version: 0, data }).expect(200);
    const design = structuredClone(job.runs[0].design) as {
      name: string;
      pieces: { kind: string; cable?: string }[];
    };
    for (const piece of design.pieces) if (piece.kind === 'assembly') piece.cable = 'new-cable';
    await expect
      .poll(
        async () => (await api(1).post(`/api/jobs/${job.id}/runs`).send({ id: randomUUID(), design })).status,
        { timeout: 60_000 },
      )
      .toBe(201);
  });

  it('what one server does stands on the board of the other, and is found there', async () => {
    const { version, design } = (await api(0).get(`/api/runs/${runId}`).expect(200)).body as RunDocument;
    await api(0)
      .put(`/api/runs/${runId}`)
      .send({ version, design: { ...design, name: 'Plover feeder' } })
      .expect(200);
    const namesAt = async (k: number, search?: string): Promise<(string | undefined)[]> => {
      const answer = await api(k).get('/api/board').query({ job: job.id, search, most: 200 }).expect(200);
      return (answer.body as BoardPage).rows.map(({ run }) => run?.summary?.name);
    };
    // Told or not: a summary of what stood before is not believed.
    expect(await namesAt(1)).toContain('Plover feeder');
    for (const search of ['plov feed', 'lover', 'plovre'])
      await expect.poll(() => namesAt(1, search), { timeout: 30_000 }).toEqual(['Plover feeder']);
  });

  it('who is at one server is told at the other', async () => {
    const heard: string[] = [];
    const stop = running[1].app.get(Changes).onChange((change) => heard.push(change));
    const here = { id: randomUUID(), name: 'Wenna', path: `/runs/${runId}/plan` };
    await api(0).post('/api/here').send(here).expect(204);
    await expect.poll(() => heard, { timeout: 10_000 }).toContain(`here ${JSON.stringify(here)}`);
    stop();
  });

  it('who signs in at one server is signed in at the other, and guesses are counted together', async () => {
    const owner = { name: 'Wenna', phrase: 'copper tide lantern goat' };
    const made = await Promise.all([0, 1].map((k) => api(k).post('/api/crew/owner').send(owner)));
    expect(made.map(({ status }) => status).toSorted()).toEqual([200, 409]);
    // Not marked as of this machine: as by the crew’s door.
    const doors = running.map(({ app }) =>
      createServer(app.getHttpAdapter().getInstance() as RequestListener),
    );
    const crew = (k: number, path: string) => request(doors[k]).post(path).set('Host', 'hut.example');
    const { headers } = await crew(0, '/api/me/sign-in').send(owner).expect(200);
    const [cookie] = headers['set-cookie'] as unknown as string[];
    const member = request(doors[1]).get('/api/jobs').set('Host', 'hut.example');
    await member.set('Cookie', cookie.split(';')[0]).expect(200);
    await crew(1, '/api/me/sign-out').set('Cookie', cookie.split(';')[0]).expect(204);
    const guesses = Array.from({ length: 8 }, (_, k) =>
      crew(k % 2, '/api/me/sign-in').send({ ...owner, phrase: `guess ${k}` }),
    );
    const statuses = (await Promise.all(guesses)).map(({ status }) => status);
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(5);
    expect(statuses.filter((status) => status === 429).length).toBeGreaterThanOrEqual(3);
  });

  it('a job goes out of one and comes into the other as it was', async () => {
    const file = (await api(0).get(`/api/jobs/${job.id}/file`).expect(200)).body as JobFile;
    const made = (await api(1).post('/api/jobs/import').send(file).expect(201)).body as JobDocument;
    const again = (await api(0).get(`/api/jobs/${made.id}/file`).expect(200)).body as JobFile;
    const lasting = (one: JobFile): string =>
      JSON.stringify({ ...one, exportedAt: '' }, (key, value: unknown) => (key === 'id' ? undefined : value));
    expect(lasting(again)).toBe(lasting(file));
  });

  it('started again, the database is used again; meanwhile it is said that it is away', async () => {
    await postgres.stop();
    const away = await api(0).get('/api/jobs');
    expect([away.status, (away.body as ApiProblem).code]).toEqual([503, 'database.away']);
    await postgres.start();
    await api(0).get('/api/jobs').expect(200);
    await api(1).get(`/api/runs/${runId}`).expect(200);
  });
});
