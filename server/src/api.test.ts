import type { ApiProblem, JobDocument, JobFile, RunDocument } from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import type { Response } from 'supertest';
import { describe, expect, it } from 'vitest';
import { createApp } from './app.js';
import { configIn, demoServer } from './demoServer.fixture.js';
import { tarrowmere } from './demo/tarrowmere.js';

const [brackwater] = tarrowmere;
const [demoRun] = brackwater.runs;

const { api, folder } = demoServer();
const problem = (response: Response): ApiProblem => response.body as ApiProblem;
const run = async (): Promise<RunDocument> =>
  (await api().get(`/api/runs/${demoRun.id}`).expect(200)).body as RunDocument;
const newJob = async (): Promise<JobDocument> =>
  (await api().post('/api/jobs').send({ id: randomUUID(), name: 'Test', site: '' }).expect(201))
    .body as JobDocument;

/** The one error shape: nothing missing, nothing of the inside shown. */
function expectProblem(response: Response, status: number, code: string): ApiProblem {
  expect(response.status).toBe(status);
  const body = problem(response);
  expect(body.code).toBe(code);
  for (const word of [body.message, body.where, body.remedy]) expect(word).toBeTruthy();
  expect(JSON.stringify(body)).not.toMatch(/\bat .*\.js|node_modules|Error:/);
  return body;
}

describe('jobs', () => {
  it('lists the demo jobs in order', async () => {
    const body: unknown = (await api().get('/api/jobs').expect(200)).body;
    expect((body as JobDocument[]).slice(0, 2).map(({ name }) => name)).toEqual([
      'Brackwater Sluice',
      'Oster Crag',
    ]);
  });

  it('a repeated request makes one job', async () => {
    const id = randomUUID();
    await Promise.all([1, 2, 3].map(() => api().post('/api/jobs').send({ id, name: 'Twice', site: 'here' })));
    const body: unknown = (await api().get('/api/jobs')).body;
    expect((body as JobDocument[]).filter((job) => job.id === id)).toHaveLength(1);
  });

  it('replaces by version and refuses a stale one with the current version', async () => {
    const { id, practice } = await newJob();
    const change = { name: 'Renamed', site: 'there', practice: { ...practice, tapeStretch: 'hard' } };
    await api()
      .put(`/api/jobs/${id}`)
      .send({ ...change, version: 1 })
      .expect(200);
    const refused = await api()
      .put(`/api/jobs/${id}`)
      .send({ ...change, name: 'Late', version: 1 });
    expect(expectProblem(refused, 409, 'job.stale').current?.version).toBe(2);
    expect(((await api().get(`/api/jobs/${id}`)).body as JobDocument).name).toBe('Renamed');
  });

  it('a deleted job is gone, and comes back whole', async () => {
    const { id } = await newJob();
    await api().post(`/api/jobs/${id}/runs`).send({ id: randomUUID(), design: demoRun.design }).expect(201);
    await api().delete(`/api/jobs/${id}`).expect(204);
    expectProblem(await api().get(`/api/jobs/${id}`), 404, 'job.not-found');
    expect(
      ((await api().get('/api/jobs?deleted=true')).body as JobDocument[]).map((job) => job.id),
    ).toContain(id);
    const restored = (await api().post(`/api/jobs/${id}/restore`).expect(200)).body as JobDocument;
    expect(restored.runs).toHaveLength(1);
  });
});

describe('runs', () => {
  it('two tabs: the second write is refused with what stands, and nothing is lost', async () => {
    const before = await run();
    const mine = { ...before.design, name: 'From tab one' };
    const theirs = { ...before.design, name: 'From tab two' };
    const first = await api()
      .put(`/api/runs/${before.id}`)
      .send({ version: before.version, design: mine })
      .expect(200);
    expect((first.body as RunDocument).version).toBe(before.version + 1);
    const refused = expectProblem(
      await api().put(`/api/runs/${before.id}`).send({ version: before.version, design: theirs }),
      409,
      'run.stale',
    );
    expect(refused.current).toMatchObject({ version: before.version + 1, design: { name: 'From tab one' } });
    expect((await run()).design.name).toBe('From tab one');
  });

  it('of many writes on one version exactly one wins', async () => {
    const { id, version, design } = await run();
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, k) =>
        api()
          .put(`/api/runs/${id}`)
          .send({ version, design: { ...design, name: `Writer ${k}` } }),
      ),
    );
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, ...Array<number>(7).fill(409)]);
  });

  it('deletes with restore', async () => {
    const job = await newJob();
    const id = randomUUID();
    await api().post(`/api/jobs/${job.id}/runs`).send({ id, design: demoRun.design }).expect(201);
    await api().delete(`/api/runs/${id}`).expect(204);
    expectProblem(await api().get(`/api/runs/${id}`), 404, 'run.not-found');
    expect(((await api().post(`/api/runs/${id}/restore`).expect(200)).body as RunDocument).design.name).toBe(
      demoRun.design.name,
    );
  });

  it('facts are kept once, over range as null', async () => {
    const reading = {
      id: randomUUID(),
      kind: 'reading',
      pieceId: 'main',
      expectation: 'insulation',
      value: null,
      by: 'Wenna',
      at: '2026-11-20T10:00:00.000Z',
    };
    const sealed = {
      id: randomUUID(),
      kind: 'sealed',
      jointId: 'main>antenna',
      by: 'Joss',
      at: '2026-11-20T11:00:00.000Z',
    };
    for (const sent of [reading, sealed, reading, sealed])
      await api().post(`/api/runs/${demoRun.id}/facts`).send(sent).expect(204);
    const { facts } = await run();
    for (const sent of [reading, sealed]) expect(facts.filter(({ id }) => id === sent.id)).toEqual([sent]);
  });

  it('tells its sheet', async () => {
    const body: unknown = (await api().get(`/api/runs/${demoRun.id}/sheet`).expect(200)).body;
    expect((body as { headline: string }).headline).toMatch(/W of 25 W reaches the antenna/);
  });
});

describe('bad input', () => {
  const put = (design: unknown): Promise<Response> =>
    run().then(({ id, version }) =>
      api()
        .put(`/api/runs/${id}`)
        .send({ version, design: design as object }),
    );
  const [piece] = demoRun.design.pieces;

  it('broken JSON: where it breaks', async () => {
    const refused = await api()
      .post('/api/jobs')
      .set('content-type', 'application/json')
      .send('{"id": "x",, }');
    expect(expectProblem(refused, 400, 'body.not-json').where).toMatch(/position \d+/);
  });

  it('a body of 20 MB', async () => {
    const refused = await api()
      .post('/api/jobs')
      .set('content-type', 'application/json')
      .send(JSON.stringify({ name: 'x'.repeat(20e6) }));
    expectProblem(refused, 413, 'body.too-large');
  });

  it.each([
    [
      'an unknown cable',
      { ...demoRun.design, pieces: [{ ...piece, cable: 'rg999' }] },
      'design.unknown-cable',
      'design.pieces[0].cable',
    ],
    [
      '500 pieces',
      { ...demoRun.design, pieces: Array.from({ length: 500 }, (_, k) => ({ ...piece, id: `p${k}` })) },
      'design.too-many-pieces',
      'design.pieces',
    ],
    ['a null piece', { ...demoRun.design, pieces: [null] }, 'design.not-a-piece', 'design.pieces[0]'],
    [
      'a negative length',
      { ...demoRun.design, pieces: [{ ...piece, lengthM: -1 }] },
      'value.min',
      'design.pieces[0].lengthM',
    ],
  ])('%s', async (_, design, code, where) => {
    const before = await run();
    expect(expectProblem(await put(design), 400, code).where).toBe(where);
    expect((await run()).version).toBe(before.version);
  });

  it('a run of no pieces is accepted', async () =>
    expect((await put({ ...demoRun.design, pieces: [] })).status).toBe(200));

  it.each([
    ['a word for a value', { value: 'lots' }, 'value'],
    ['an impossible date', { at: '2026-13-45' }, 'at'],
    ['a property nobody knows', { colour: 'red' }, 'colour'],
  ])('a reading with %s', async (_, wrong, where) => {
    const reading = {
      id: randomUUID(),
      kind: 'reading',
      pieceId: 'main',
      expectation: 'loop',
      value: 1,
      by: '',
      at: '2026-11-20T10:00:00.000Z',
      ...wrong,
    };
    const refused = await api().post(`/api/runs/${demoRun.id}/facts`).send(reading);
    expect(refused.status).toBe(400);
    expect(problem(refused).where).toBe(where);
  });

  it('ids which are none, and paths which lead nowhere', async () => {
    expectProblem(await api().get('/api/runs/1%20or%201=1'), 400, 'request.refused');
    expectProblem(await api().get('/api/nothing'), 404, 'path.not-found');
    expectProblem(await api().get(`/api/runs/${randomUUID()}`), 404, 'run.not-found');
  });
});

describe('the job file', () => {
  it('goes out and comes in as a new job with everything in it', async () => {
    const answer = await api().get(`/api/jobs/${brackwater.id}/file`).expect(200);
    expect(answer.headers['content-disposition']).toContain('brackwater-sluice.kobran.json');
    const file = answer.body as JobFile;
    expect(file.schema).toBe('kobran-job/2');
    const copy = (await api().post('/api/jobs/import').send(file).expect(201)).body as JobDocument;
    expect(copy.id).not.toBe(brackwater.id);
    expect(copy.runs.map(({ design }) => design)).toEqual(file.runs.map(({ design }) => design));
    expect(copy.runs[0].facts.length).toBe(file.runs[0].facts.length);
  });

  it('a damaged file is refused whole', async () => {
    const file = (await api().get(`/api/jobs/${brackwater.id}/file`)).body as JobFile;
    const count = ((await api().get('/api/jobs')).body as unknown[]).length;
    file.runs[2].design = { ...file.runs[2].design, radio: { name: 'x', face: 'zzz', handheld: false } };
    expect(
      expectProblem(await api().post('/api/jobs/import').send(file), 400, 'design.unknown-face').where,
    ).toBe('runs[2].design.radio.face');
    expect(((await api().get('/api/jobs')).body as unknown[]).length).toBe(count);
  });
});

describe('the house itself', () => {
  it('answers only to loopback names', async () =>
    expectProblem(await api().get('/api/health').set('Host', 'sluice.example'), 421, 'host.refused'));

  it('sends strict headers and no banner', async () => {
    const { headers } = await api().get('/api/health').expect(200);
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });

  it('describes its API, bodies included', async () => {
    const body: unknown = (await api().get('/api/docs-json').expect(200)).body;
    const { paths, components } = body as {
      paths: Record<string, unknown>;
      components: { schemas: Record<string, { properties: object }> };
    };
    expect(Object.keys(paths)).toEqual(
      expect.arrayContaining(['/api/jobs', '/api/runs/{id}', '/api/health']),
    );
    expect(Object.keys(components.schemas.ReplaceRun.properties)).toEqual(['version', 'design']);
  });

  it('a folder already open is refused with what to do', async () => {
    const second = createApp(configIn(folder));
    await expect(second).rejects.toThrow(/open in process \d+.*KOBRAN_DATA/s);
  });
});
