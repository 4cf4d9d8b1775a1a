import type { ApiProblem, JobDocument, SiteDocument } from '@kobran/contract';
import {
  catalog,
  emptyGround,
  emptySite,
  evaluate,
  onSite,
  renameRuns,
  runInFile,
  withShop,
  type ShopEntry,
  type Site,
} from '@kobran/core';
import { sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { tarrowmere } from '../demo/tarrowmere.js';
import { demoServer } from '../demoServer.fixture.js';

const { api, app } = demoServer();
const [brackwater] = tarrowmere;
const path = (id: string): string => `/api/jobs/${id}/site`;

const aJob = async (): Promise<string> => {
  const id = randomUUID();
  await api().post('/api/jobs').send({ id, name: 'A place', site: '' }).expect(201);
  return id;
};
const read = async (id: string): Promise<SiteDocument> =>
  (await api().get(path(id)).expect(200)).body as SiteDocument;

const point = (id: string, xM: number) => ({ id, name: id, kind: 'free' as const, xM, yM: 0, zM: 0 });
const way = (over: object = {}) => ({
  id: 'tray',
  name: 'the tray',
  kind: 'indoor tray' as const,
  from: 'a',
  to: 'b',
  via: [],
  conditions: ['inside' as const],
  bends: [],
  beside: [],
  ...over,
});
const aSite = (over: object = {}): Site => ({
  ...emptySite,
  points: [point('a', 0), point('b', 3)],
  ways: [way(over)],
});

const bond = (over: object): object => ({
  id: 'lead',
  from: 'bar',
  to: 'rod',
  section: { areaMm2: 16 },
  metal: 'copper',
  parallel: 1,
  sharpBends: 0,
  joint: 'clamp',
  bimetal: false,
  ...over,
});
const reading = {
  id: 'r',
  kind: 'earth',
  about: 'rod',
  ohm: 20,
  method: 'clamp-on',
  by: 'Wenna',
  on: '2026-11-20',
};
const withGround = (over: object): object => ({
  ...aSite(),
  ground: {
    ...emptyGround,
    nodes: [
      { id: 'bar', name: 'Bar', kind: 'entry bar', metal: 'copper' },
      { id: 'rod', name: 'Rod', kind: 'rod', metal: 'copper' },
    ],
    bonds: [bond({})],
    readings: [reading],
    ...over,
  },
});

describe('the site of a job', () => {
  it('keeps its ground as it was drawn', async () => {
    const id = await aJob();
    await api()
      .put(path(id))
      .send({ version: 0, site: withGround({}) })
      .expect(200);
    expect((await read(id)).site).toEqual(withGround({}));
  });

  it('is empty before anybody draws it, and is kept with its version', async () => {
    const id = await aJob();
    expect(await read(id)).toEqual({ version: 0, site: emptySite });
    await api().put(path(id)).send({ version: 0, site: aSite() }).expect(200);
    expect(await read(id)).toEqual({ version: 1, site: aSite() });
    const { place } = (await api().get(`/api/jobs/${id}`)).body as JobDocument;
    expect(place).toEqual({ version: 1, site: aSite() });
  });

  it('of many who write at once one wins, the others are told what stands', async () => {
    const id = await aJob();
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, k) =>
        api()
          .put(path(id))
          .send({ version: 0, site: aSite({ name: `way ${k}` }) }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    const stands = await read(id);
    for (const { status, body } of answers)
      if (status === 409)
        expect((body as ApiProblem).current).toEqual({ version: stands.version, data: stands.site });
  });

  it.each<[string, object, string]>([
    ['a way to nowhere', aSite({ to: 'moon' }), 'site.ways[0].to'],
    ['a way which ends where it begins', aSite({ to: 'a' }), 'site.ways[0].to'],
    ['no length', aSite({ lengthM: 0 }), 'site.ways[0].lengthM'],
    ['10 km', aSite({ lengthM: 10_000 }), 'site.ways[0].lengthM'],
    [
      'a bend of no radius',
      aSite({ bends: [{ atM: 1, degrees: 90, radiusMm: 0 }] }),
      'site.ways[0].bends[0].radiusMm',
    ],
    ['a list in a list', aSite({ bends: [[]] }), 'site.ways[0].bends'],
    [
      'a name used twice',
      { ...aSite(), points: [point('a', 0), point('b', 1), point('a', 2)] },
      'site.points[2].id',
    ],
    ['a conductor to nowhere', withGround({ bonds: [bond({ to: 'moon' })] }), 'site.ground.bonds[0].to'],
    [
      'a conductor of no size',
      withGround({ bonds: [bond({ section: {} })] }),
      'site.ground.bonds[0].section',
    ],
    [
      'a negative resistance',
      withGround({ readings: [{ ...reading, ohm: -1 }] }),
      'site.ground.readings[0].ohm',
    ],
    ['more than a whole stroke', withGround({ share: 7 }), 'site.ground.share'],
    ['no ground at all', { ...aSite(), ground: undefined }, 'site.ground'],
    ['another schema', { ...aSite(), schema: 'kobran-site/9' }, 'site.schema'],
    ['nothing', {}, 'site.schema'],
  ])('%s is refused with its place, and nothing is lost', async (_, site, where) => {
    const id = await aJob();
    await api().put(path(id)).send({ version: 0, site: aSite() }).expect(200);
    const answer = await api().put(path(id)).send({ version: 1, site });
    expect(answer.status).toBe(400);
    const { where: first, others = [] } = answer.body as ApiProblem;
    expect([first, ...others.map((one) => one.where)]).toContain(where);
    expect(await read(id)).toEqual({ version: 1, site: aSite() });
  });

  it('points at one place are no mistake: people plan in pieces', async () => {
    const id = await aJob();
    const site = { ...aSite(), points: [point('a', 0), point('b', 0)] };
    await api().put(path(id)).send({ version: 0, site }).expect(200);
  });

  it('of a job which is not there, or deleted, is not found', async () => {
    const id = await aJob();
    await api().delete(`/api/jobs/${id}`).expect(204);
    for (const gone of [id, randomUUID()]) {
      await api().get(path(gone)).expect(404);
      await api().put(path(gone)).send({ version: 0, site: aSite() }).expect(404);
    }
  });

  it('that cannot be read is said to be damaged; its runs go on with their own legs', async () => {
    const id = await aJob();
    await app()
      .get<Database>(DATABASE)
      .execute(sql`update jobs set place = '{"schema":"spoilt"}', place_version = 4 where id = ${id}`);
    const { damaged = [] } = (await api().get(`/api/jobs/${id}`).expect(200)).body as JobDocument;
    expect(damaged.map(({ message }) => message).join()).toContain('site of a job');
    await api().get(path(id)).expect(422);
  });
});

describe('a run in a site', () => {
  it('a longer way makes every run in it longer, at the API too', async () => {
    const { site, version } = await read(brackwater.id);
    const lengths = async (): Promise<number[]> =>
      Promise.all(
        [0, 1, 4].map(async (k) => {
          const answer = await api().get(`/api/runs/${brackwater.runs[k].id}/sheet`).expect(200);
          return (answer.body as { route: { total: { value: number } } }).route.total.value;
        }),
      );
    const before = await lengths();
    const ways = site.ways.map((one) => (one.id === 'duct' ? { ...one, lengthM: 11 } : one));
    await api()
      .put(path(brackwater.id))
      .send({ version, site: { ...site, ways } })
      .expect(200);
    for (const [k, after] of (await lengths()).entries()) expect(after - before[k]).toBeCloseTo(2);
    await api()
      .put(path(brackwater.id))
      .send({ version: version + 1, site })
      .expect(200);
  });

  it('says the same through the API as in the browser', async () => {
    const { runs, place, practice } = (await api().get(`/api/jobs/${brackwater.id}`)).body as JobDocument;
    const { entries } = (await api().get('/api/shop')).body as { entries: ShopEntry[] };
    const [{ id, design, facts }] = runs;
    const here = evaluate(onSite(design, place?.site), withShop(catalog, entries), { facts, practice });
    const answer = await api().get(`/api/runs/${id}/sheet`).expect(200);
    expect(answer.body as object).toMatchObject({
      headline: here.headline,
      next: here.next,
      totalM: here.totalM,
    });
  });

  it('takes its route together with the site, all or nothing', async () => {
    const { runs } = (await api().get(`/api/jobs/${brackwater.id}`)).body as JobDocument;
    const id = await aJob();
    const ids = [randomUUID(), randomUUID()];
    const { route: _, ...own } = runs[0].design;
    const design = { ...own, name: 'A run', legs: [] };
    for (const run of ids) await api().post(`/api/jobs/${id}/runs`).send({ id: run, design }).expect(201);
    const routed = { ...design, route: [{ way: 'tray', slack: [] }] };
    const wish = (second: number) => ({
      version: 0,
      site: aSite(),
      runs: ids.map((run, k) => ({ id: run, version: k === 0 ? 1 : second, design: routed })),
    });
    const routes = async () =>
      ((await api().get(`/api/jobs/${id}`)).body as JobDocument).runs.map((run) => run.design.route?.length);
    const refused = await api()
      .put(`${path(id)}/runs`)
      .send(wish(7));
    expect([refused.status, (refused.body as ApiProblem).where]).toEqual([409, 'runs[1].version']);
    expect([await routes(), (await read(id)).version]).toEqual([[undefined, undefined], 0]);
    const foreign = { ...wish(1), runs: [{ id: runs[0].id, version: runs[0].version, design: routed }] };
    await api()
      .put(`${path(id)}/runs`)
      .send(foreign)
      .expect(409);
    await api()
      .put(`${path(id)}/runs`)
      .send(wish(1))
      .expect(200);
    expect([await routes(), (await read(id)).version]).toEqual([[1, 1], 1]);
    await api()
      .put(`${path(id)}/runs`)
      .send(wish(1))
      .expect(409);
  });

  it('goes out and comes in with its job', async () => {
    const file = (await api().get(`/api/jobs/${brackwater.id}/file`)).body as { place: Site };
    // A file calls its runs by their order; each has an id of its own once it is imported.
    const names = new Map(brackwater.runs.map(({ id }, k) => [id, runInFile(k)]));
    // The demo puts its photos in where it is seeded.
    const { photos: _, ...place } = file.place;
    expect(place).toEqual(brackwater.place && renameRuns(brackwater.place, names));
    const back = (await api().post('/api/jobs/import').send(file).expect(201)).body as JobDocument;
    const ids = new Map(back.runs.map(({ id }, k) => [runInFile(k), id]));
    expect(back.place).toEqual({ version: 1, site: renameRuns(file.place, ids) });
    expect(back.place?.site.ground.bonds.some(({ from }) => from === `${back.runs[0].id}.arrester`)).toBe(
      true,
    );
    const spoilt = { ...file, place: { ...file.place, points: [] } };
    const refused = await api().post('/api/jobs/import').send(spoilt);
    expect(refused.status).toBe(400);
    expect((refused.body as ApiProblem).where).toMatch(/^place\.ways\[0\]/);
  });
});
