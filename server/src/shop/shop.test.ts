import type {
  ApiProblem,
  JobDocument,
  JobFile,
  RunDocument,
  ShopDocument,
  StoredShopEntry,
} from '@kobran/contract';
import { catalog, catalogEntries, entry, type ShopEntry } from '@kobran/core';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { randomUUID } from 'node:crypto';
import type { Response } from 'supertest';
import { describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';
import { brackwater } from '../demo/brackwater.js';

const { api } = demoServer();
const problem = (response: Response): ApiProblem => response.body as ApiProblem;
const shop = async (): Promise<StoredShopEntry[]> =>
  ((await api().get('/api/shop').expect(200)).body as ShopDocument).entries;

const { id: _, ...rg213 } = entry(catalog.cables, 'rg213');
const own = { ...rg213, name: 'Blue drum', source: 'measured' };
const put = (kind: string, id: string, version: number, data: object): Promise<Response> =>
  api().put(`/api/shop/${kind}/${id}`).send({ version, data });

describe('the shop’s own catalogue', () => {
  it('opens with what the demo crew owns', async () =>
    expect((await shop()).map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['cable', 'part', 'port', 'stock']),
    ));

  it('takes an entry, replaces it by its version, and refuses a stale one with what stands', async () => {
    expect((await put('cable', 'blue-drum', 0, own)).body).toMatchObject({ version: 1 });
    expect((await put('cable', 'blue-drum', 1, { ...own, costPerM: 2 })).body).toMatchObject({ version: 2 });
    const stale = await put('cable', 'blue-drum', 1, own);
    expect(stale.status).toBe(409);
    expect(problem(stale)).toMatchObject({
      code: 'entry.stale',
      current: { version: 2, data: { costPerM: 2 } },
    });
    expect((await put('cable', 'blue-drum', 0, own)).status).toBe(409);
  });

  it.each([
    ['cable', { dielectricMm: 1 }, 'dielectricMm'],
    ['cable', { jacketMm: 'wide' }, 'jacketMm'],
    ['cable', { colour: 'blue' }, 'colour'],
    ['spoon', {}, 'kind'],
  ])('%s with %j is refused at %s', async (kind, spoilt, where) => {
    const refused = await put(kind, 'bad', 0, { ...own, ...spoilt });
    expect(refused.status).toBe(400);
    expect(problem(refused).where).toBe(where);
    expect((await shop()).some(({ data }) => data.id === 'bad')).toBe(false);
  });

  it('a design may name it, and then it is not taken away', async () => {
    await put('cable', 'red-drum', 0, { ...own, name: 'Red drum' });
    const [{ design }] = brackwater.runs;
    const pieces = design.pieces.map((piece) =>
      piece.kind === 'assembly' ? { ...piece, cable: 'red-drum' } : piece,
    );
    const id = randomUUID();
    await api()
      .post(`/api/jobs/${brackwater.id}/runs`)
      .send({ id, design: { ...design, pieces } })
      .expect(201);
    await api().get(`/api/runs/${id}/sheet`).expect(200);
    const refused = await api().delete('/api/shop/cable/red-drum');
    expect([refused.status, problem(refused).code]).toEqual([409, 'entry.in-use']);
    expect(problem(refused).message).toContain(design.name);
    await api().delete(`/api/runs/${id}`).expect(204);
    await api().delete('/api/shop/cable/red-drum').expect(204);
    expect((await api().delete('/api/shop/cable/red-drum')).status).toBe(404);
    const late = await api()
      .post(`/api/jobs/${brackwater.id}/runs`)
      .send({ id: randomUUID(), design: { ...design, pieces } });
    expect(problem(late).code).toBe('design.unknown-cable');
  });

  it('a job file brings along the own entries its runs name: the cable, and the port of that name', async () => {
    await put('cable', 'green-drum', 0, { ...own, name: 'Green drum' });
    const job = (await api().post('/api/jobs').send({ id: randomUUID(), name: 'Away', site: '' }))
      .body as JobDocument;
    const [{ design }] = brackwater.runs;
    const pieces = design.pieces.map((piece) =>
      piece.kind === 'assembly' ? { ...piece, cable: 'green-drum' } : piece,
    );
    await api()
      .post(`/api/jobs/${job.id}/runs`)
      .send({ id: randomUUID(), design: { ...design, pieces } })
      .expect(201);
    const file = (await api().get(`/api/jobs/${job.id}/file`)).body as JobFile;
    expect(file.catalog?.map(({ kind }) => kind)).toEqual(['cable', 'port']);
    await api().delete(`/api/jobs/${job.id}`).expect(204);
    await api().delete('/api/shop/cable/green-drum').expect(204);
    const back = (await api().post('/api/jobs/import').send(file).expect(201)).body as JobDocument;
    const [run] = back.runs as [RunDocument];
    expect(run.design.pieces.some((piece) => piece.kind === 'assembly' && piece.cable === 'green-drum')).toBe(
      true,
    );
    expect((await shop()).some(({ data }) => data.id === 'green-drum')).toBe(true);
  });

  it('many entries come in all or not at all', async () => {
    const good: ShopEntry = { kind: 'stock', data: { id: 'n-jack-to-n-jack', count: 9, matings: 1 } };
    const before = (await shop()).length;
    const refused = await api()
      .post('/api/shop/import')
      .send({ entries: [good, { kind: 'stock', data: { id: 'x', count: -1, matings: 0 } }] });
    expect(problem(refused).where).toBe('entries[1].data.count');
    expect((await shop()).length).toBe(before);
    await api()
      .post('/api/shop/import')
      .send({ entries: [good] })
      .expect(200);
    expect((await shop()).find(({ data }) => data.id === 'n-jack-to-n-jack')?.data).toEqual(good.data);
  });

  // The published schema is checked by an independent validator of JSON Schema (draft 2020-12).
  it('publishes a schema which its own export satisfies and a spoilt one does not', async () => {
    const schema = (await api().get('/api/shop/schema').expect(200)).body as object;
    const valid = new Ajv2020({ strict: false }).compile(schema);
    const entries = catalogEntries(catalog);
    expect(valid({ schema: 'kobran-catalog/1', entries }), JSON.stringify(valid.errors?.slice(0, 3))).toBe(
      true,
    );
    expect(
      valid({
        schema: 'kobran-catalog/1',
        entries: [{ kind: 'cable', data: { ...own, id: 'x', jacketMm: 'wide' } }],
      }),
    ).toBe(false);
    expect(valid({ schema: 'other', entries })).toBe(false);
  });
});
