import {
  routes,
  type JobDocument,
  type JobFile,
  type ProgressDocument,
  type RunDocument,
} from '@kobran/contract';
import { catalog, evaluate, noFacts, onSite, withShop, type ShopEntry, type Site } from '@kobran/core';
import { sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { program } from '../../../cli/src/program.js';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { tarrowmere } from '../demo/tarrowmere.js';
import { demoServer } from '../demoServer.fixture.js';

const { api, app } = demoServer();
const [brackwater] = tarrowmere;
const [vhf] = brackwater.runs;
const path = (id: string): string => `/api/runs/${id}`;
const read = async (id: string): Promise<RunDocument> =>
  (await api().get(path(id)).expect(200)).body as RunDocument;
const job = async (id: string): Promise<JobDocument> =>
  (await api().get(`/api/jobs/${id}`).expect(200)).body as JobDocument;
const database = (): Database => app().get<Database>(DATABASE);

/** What a door gives as plain JSON, without what the API leaves out and with nothing that JSON cannot say. */
function plain(sheet: object): unknown {
  const { ruler: _, sweep: __, ...rest } = sheet as Record<string, unknown>;
  return JSON.parse(JSON.stringify(rest, (___, value: unknown) => (value === Infinity ? null : value)));
}

/** The sheet which the command line gives for a run of an exported job file. */
async function byCommandLine(file: JobFile, run: string): Promise<unknown> {
  let output = '';
  await program({
    write: (text) => (output += text),
    complain: (text) => {
      throw new Error(text);
    },
    readText: () => Promise.resolve(JSON.stringify(file)),
    readStandardInput: () => Promise.resolve(''),
    runDataProgram: () => Promise.resolve(0),
  }).run(['evaluate', 'job.json', '--run', run]);
  return plain(JSON.parse(output) as object);
}

describe('the same sheet through every door', () => {
  /** What the browser computes: its own core, on what the server sends. */
  async function byBrowser(document: RunDocument): Promise<unknown> {
    const { practice } = await job(document.jobId);
    const { entries } = (await api().get('/api/shop')).body as { entries: ShopEntry[] };
    // As a run is opened: with the place it lies in.
    const { site } = (await api().get(`/api/jobs/${document.jobId}/site`)).body as { site: Site };
    const design = onSite(document.design, site);
    return plain(evaluate(design, withShop(catalog, entries), { facts: document.facts, practice }));
  }

  async function expectSame(jobId: string): Promise<void> {
    const file = (await api().get(`/api/jobs/${jobId}/file`).expect(200)).body as JobFile;
    for (const [k, document] of (await job(jobId)).runs.entries()) {
      const answer: unknown = (
        await api()
          .get(`${path(document.id)}/sheet`)
          .expect(200)
      ).body;
      expect(plain(answer as object), document.design.name).toEqual(await byBrowser(document));
      expect(await byCommandLine(file, String(k + 1)), document.design.name).toEqual(plain(answer as object));
    }
  }

  it.each(tarrowmere.map(({ name, id }) => [name, id]))('every run of %s', (_, id) => expectSame(id));

  it('with a changed practice too, and it changes something', async () => {
    const { version, name, site, practice } = await job(brackwater.id);
    const before = plain((await api().get(`${path(vhf.id)}/sheet`)).body as object);
    const changed = { ...practice, remakesPerEnd: 4, tapeStretch: 'hard', tools: [] };
    await api()
      .put(`/api/jobs/${brackwater.id}`)
      .send({ version, name, site, practice: changed })
      .expect(200);
    await expectSame(brackwater.id);
    const after = plain((await api().get(`${path(vhf.id)}/sheet`)).body as object);
    expect(after).not.toEqual(before);
    const next = await job(brackwater.id);
    await api()
      .put(`/api/jobs/${brackwater.id}`)
      .send({ version: next.version, name, site, practice })
      .expect(200);
  });

  it('facts count: without them the sheet is another', async () => {
    const document = await read(vhf.id);
    const { practice } = await job(document.jobId);
    const bare = evaluate(document.design, catalog, { facts: noFacts, practice });
    const answer = (await api().get(`${path(vhf.id)}/sheet`)).body as { stages: unknown };
    expect(answer.stages).not.toEqual(JSON.parse(JSON.stringify(bare.stages)));
  });
});

describe('what is stored is read, not cast', () => {
  const spoil = (id: string, design: string): Promise<unknown> =>
    Promise.resolve(database().execute(sql`update runs set design = ${design}::jsonb where id = ${id}`));

  it('a damaged run is set aside with a message, the others of its job work', async () => {
    const id = randomUUID();
    await api().post(`/api/jobs/${brackwater.id}/runs`).send({ id, design: vhf.design }).expect(201);
    await spoil(id, JSON.stringify({ ...vhf.design, pieces: [null] }));
    const refused = await api().get(path(id)).expect(422);
    expect(refused.body).toMatchObject({ code: 'run.damaged', where: 'database' });
    const { runs, damaged } = await job(brackwater.id);
    expect(runs.map((run) => run.id)).not.toContain(id);
    expect(damaged).toEqual([{ id, message: expect.stringContaining('pieces[0]') as string }]);
    await spoil(id, JSON.stringify(vhf.design));
    expect((await read(id)).design).toEqual(vhf.design);
    await api().delete(path(id)).expect(204);
  });

  it('a fact of a kind nobody knows is set aside, the others stand', async () => {
    const before = (await read(vhf.id)).facts.length;
    const id = randomUUID();
    await database().execute(
      sql`insert into facts (id, run_id, kind, body, "by", at) values (${id}, ${vhf.id}, 'gossip', '{}', '', now())`,
    );
    const { facts, damaged } = await read(vhf.id);
    expect(facts).toHaveLength(before);
    expect(damaged?.map((one) => one.id)).toEqual([id]);
    await database().execute(sql`delete from facts where id = ${id}`);
  });

  it('a practice that cannot be read gives way to the usual one and is said', async () => {
    const id = randomUUID();
    await api().post('/api/jobs').send({ id, name: 'Spoilt', site: '' }).expect(201);
    await database().execute(
      sql`update jobs set practice = '{"cutSchool": "guess"}'::jsonb where id = ${id}`,
    );
    const spoilt = await job(id);
    expect(spoilt.practice.cutSchool).toBe('exact');
    expect(spoilt.damaged?.[0].message).toContain('cutSchool');
    await api().delete(`/api/jobs/${id}`).expect(204);
  });

  it('an entry of the shop that cannot be read is set aside, the shelf works', async () => {
    await database().execute(
      sql`insert into shop_entries (kind, id, data) values ('cable', 'spoilt', '{"id": "spoilt"}')`,
    );
    const shop = (await api().get('/api/shop').expect(200)).body as {
      entries: unknown[];
      damaged: { id: string }[];
    };
    expect(shop.damaged.map(({ id }) => id)).toEqual(['spoilt']);
    expect(shop.entries.length).toBeGreaterThan(5);
    await database().execute(sql`delete from shop_entries where id = 'spoilt'`);
  });
});

describe('facts', () => {
  const note = (over: object = {}) => ({
    id: randomUUID(),
    kind: 'note',
    about: '',
    text: 'looked at',
    by: 'Wenna',
    at: '2026-11-20T10:00:00.000Z',
    ...over,
  });

  it('many senders of one fact keep it once', async () => {
    const sent = note();
    await Promise.all(
      Array.from({ length: 12 }, () =>
        api()
          .post(`${path(vhf.id)}/facts`)
          .send(sent),
      ),
    );
    expect((await read(vhf.id)).facts.filter(({ id }) => id === sent.id)).toHaveLength(1);
  });

  it('of a deleted run are refused, and taken again when it is restored', async () => {
    const id = randomUUID();
    await api().post(`/api/jobs/${brackwater.id}/runs`).send({ id, design: vhf.design }).expect(201);
    await api()
      .post(`${path(id)}/facts`)
      .send(note())
      .expect(204);
    await api().delete(path(id)).expect(204);
    await api()
      .post(`${path(id)}/facts`)
      .send(note())
      .expect(404);
    await api()
      .post(`${path(id)}/restore`)
      .expect(200);
    await api()
      .post(`${path(id)}/facts`)
      .send(note())
      .expect(204);
    expect((await read(id)).facts).toHaveLength(2);
    await api().delete(path(id));
  });

  it.each([
    [{ kind: 'gossip' }, 'kind'],
    [{ text: '' }, 'text'],
    [{ kind: 'sealed' }, 'jointId'],
    [{ kind: 'reading', pieceId: 'main', expectation: 'loop', value: 'much' }, 'value'],
    [{ kind: 'end made', endId: 'main.a', end: { part: 1 } }, 'end.part'],
    [{ kind: 'trimmed', pieceId: 'main', trim: {} }, 'trim.cable'],
    [{ kind: 'end made', endId: 'main.a', readings: { loop: 'x' } }, 'readings'],
    [{ at: 'noon' }, 'at'],
  ])('%j is refused with its place', async (over, where) => {
    const response = await api()
      .post(`${path(vhf.id)}/facts`)
      .send(note(over))
      .expect(400);
    const { others = [], ...first } = response.body as { where: string; others?: { where: string }[] };
    expect([first, ...others].map((one) => one.where)).toContain(where);
  });
});

describe('how far cards and batches are', () => {
  const progress = `${path(vhf.id)}/progress`;
  const keep = (key: string, at: string, body?: object) =>
    api()
      .put(`${progress}/${encodeURIComponent(key)}`)
      .send({ at, ...(body ? { body } : {}) });
  const list = async (): Promise<ProgressDocument[]> =>
    (await api().get(progress).expect(200)).body as ProgressDocument[];

  it('the newest stands, whichever device it comes from, and an older one is answered with it', async () => {
    const [old, young] = ['2026-11-20T10:00:00.000Z', '2026-11-20T10:05:00.000Z'];
    await keep('card main.a', young, { step: 5 }).expect(200);
    const answer = await keep('card main.a', old, { step: 2 }).expect(200);
    expect(answer.body).toEqual({ key: 'card main.a', at: young, body: { step: 5 } });
    expect(await list()).toEqual([{ key: 'card main.a', at: young, body: { step: 5 } }]);
  });

  it('of many at once the newest stands', async () => {
    const moments = Array.from({ length: 10 }, (_, k) => `2026-11-21T10:0${k}:00.000Z`);
    await Promise.all(
      moments.toReversed().map((at, k) => keep('batch main.a', at, { count: k }).expect(200)),
    );
    expect((await list()).find(({ key }) => key === 'batch main.a')?.at).toBe(moments.at(-1));
  });

  it('a finished work stays finished against what a late phone sends', async () => {
    await keep('card main.b', '2026-11-22T10:00:00.000Z', { step: 5 }).expect(200);
    await keep('card main.b', '2026-11-22T10:10:00.000Z').expect(200);
    await keep('card main.b', '2026-11-22T10:09:00.000Z', { step: 6 }).expect(200);
    expect((await list()).find(({ key }) => key === 'card main.b')).toEqual({
      key: 'card main.b',
      at: '2026-11-22T10:10:00.000Z',
    });
  });

  it('a date that is none and a name that is too long are refused; a run nobody has too', async () => {
    await keep('card main.a', 'noon', {}).expect(400);
    await keep('x'.repeat(200), '2026-11-22T10:00:00.000Z', {}).expect(400);
    await api()
      .get(`${path(randomUUID())}/progress`)
      .expect(404);
  });
});

describe('how the shop works', () => {
  it('a new job starts from the shop’s practice and may differ; others stay as they are', async () => {
    const shop = (await api().get('/api/practice').expect(200)).body as { version: number; practice: object };
    expect(shop.version).toBe(0);
    const practice = { ...shop.practice, tapeStretch: 'hard', remakesPerEnd: 2 };
    await api().put('/api/practice').send({ version: 0, practice }).expect(200);
    const id = randomUUID();
    await api().post('/api/jobs').send({ id, name: 'New', site: '' }).expect(201);
    expect((await job(id)).practice).toEqual(practice);
    expect((await job(brackwater.id)).practice).toEqual(brackwater.practice);
    await api().delete(`/api/jobs/${id}`);
  });

  it('of many writes on one version exactly one wins', async () => {
    const { version, practice } = (await api().get('/api/practice')).body as {
      version: number;
      practice: object;
    };
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => api().put('/api/practice').send({ version, practice })),
    );
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409, 409, 409, 409, 409]);
  });

  it('one that is none is refused with its place', async () => {
    const response = await api()
      .put('/api/practice')
      .send({ version: 1, practice: { cutSchool: 'guess' } })
      .expect(400);
    expect((response.body as { where: string }).where).toMatch(/^practice/);
  });
});

it('every request of the contract’s table has its handler, and every handler is in the table', async () => {
  const { paths } = (await api().get('/api/docs-json').expect(200)).body as {
    paths: Record<string, Record<string, { summary: string }>>;
  };
  const handled = Object.entries(paths).flatMap(([where, methods]) =>
    Object.entries(methods).map(([method, { summary }]) => `${method.toUpperCase()} ${where} ${summary}`),
  );
  const table = Object.values(routes).map(
    ({ method, path: where, summary }) => `${method} ${where.replace(/:(\w+)/g, '{$1}')} ${summary}`,
  );
  expect(handled.toSorted()).toEqual(table.toSorted());
});
