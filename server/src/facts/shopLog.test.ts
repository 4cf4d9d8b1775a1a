import type { JobDocument, ShopLogDocument, SiteDocument } from '@kobran/contract';
import type { FactBody, Site } from '@kobran/core';
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';
import { tarrowmere } from '../demo/tarrowmere.js';

const { api } = demoServer();
const [brackwater] = tarrowmere;
const [, uhf] = brackwater.runs;

const shopLog = async (): Promise<ShopLogDocument> =>
  (await api().get('/api/shop/log').expect(200)).body as ShopLogDocument;
const add = (body: FactBody, at = new Date().toISOString()) =>
  api()
    .post(`/api/runs/${uhf.id}/facts`)
    .send({ id: randomUUID(), by: 'Joss', at, ...body })
    .expect(204);
const count = (part: string, more: object = {}) =>
  api()
    .put(`/api/shop/stock/${part}`)
    .send({ version: 0, data: { count: 9, matings: 0, countedAt: '2026-11-20T08:00:00.000Z', ...more } });

// By the meaning of the words.
describe('what the shop knows from the logs of all jobs', () => {
  it('what was used since it was counted, whatever the work was, with who and for what', async () => {
    for (const part of ['vinyl19', 'grip-10mm', 'tube-230', 'lug-16mm2'])
      expect((await count(part)).status).toBe(200);
    // Of what nobody has counted it is not asked, nor of what was used before.
    await add({ kind: 'sealed', jointId: 'radio>in', used: [{ part: 'rubber19', amount: 1 }] });
    await add({ kind: 'installed', used: [{ part: 'grip-10mm', amount: 7 }] }, '2026-11-19T08:00:00.000Z');
    await add({ kind: 'sealed', jointId: 'main>antenna', used: [{ part: 'vinyl19', amount: 0.06 }] });
    await add({ kind: 'installed', used: [{ part: 'grip-10mm', amount: 1 }] });
    await add({ kind: 'tube checked', pieceId: 'arrester', reason: 'by plan', found: 'damaged', newV: 230 });
    const own = (await shopLog()).uses.filter(({ runId }) => runId === uhf.id);
    expect(own.map(({ part, amount, kind }) => [part, amount, kind])).toEqual([
      ['vinyl19', 0.06, 'sealed'],
      ['grip-10mm', 1, 'installed'],
      ['tube-230', 1, 'tube checked'],
    ]);
    expect(own[0]).toMatchObject({ by: 'Joss', of: uhf.design.name, jobId: brackwater.id });
  });

  it('and what was joined in the ground, which the site says', async () => {
    const { place } = (await api().get(`/api/jobs/${brackwater.id}`).expect(200)).body as JobDocument;
    const { version, site } = place as SiteDocument;
    const [bond, ...bonds] = site.ground.bonds;
    const used = [{ part: 'lug-16mm2', amount: 2 }];
    const made = { by: 'Petrok', on: '2026-11-27', at: new Date().toISOString(), used };
    const joined: Site = { ...site, ground: { ...site.ground, bonds: [{ ...bond, made }, ...bonds] } };
    await api().put(`/api/jobs/${brackwater.id}/site`).send({ version, site: joined }).expect(200);
    expect((await shopLog()).uses).toContainEqual(
      expect.objectContaining({ part: 'lug-16mm2', amount: 2, kind: 'joined', by: 'Petrok' }),
    );
  });

  it('how long tasks took, from their beginning to their own entry', async () => {
    const ends = { kind: 'end made', about: 'main.b' };
    const task = { task: 'make main.b', learnedBy: 'test-recipe', place: 'bench' };
    await add({ kind: 'task begun', ...task, ends }, '2026-11-27T08:00:00.000Z');
    await add({ kind: 'end made', endId: 'main.b' }, '2026-11-27T08:17:00.000Z');
    expect((await shopLog()).times).toContainEqual({
      learnedBy: 'test-recipe',
      place: 'bench',
      by: 'Joss',
      minutes: 17,
    });
  });

  it('of a deleted run it knows nothing', async () => {
    await api().delete(`/api/runs/${uhf.id}`).expect(204);
    const { uses, times } = await shopLog();
    expect(uses.filter(({ runId }) => runId === uhf.id)).toEqual([]);
    expect(times.filter(({ learnedBy }) => learnedBy === 'test-recipe')).toEqual([]);
    await api().post(`/api/runs/${uhf.id}/restore`).expect(200);
  });

  it('a list of what was put back has an end', async () => {
    const refused = await count('lug-25mm2', { putBack: Array.from({ length: 501 }, () => 'x') });
    expect(refused.status).toBe(400);
  });
});
