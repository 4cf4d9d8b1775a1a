import type { AddTrace, ApiProblem, ListedTrace, StoredTrace } from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';

const path = '/api/runs/7a0e1d00-0000-4000-8000-00000000a002/traces';
const { api } = demoServer();
const list = async (): Promise<ListedTrace[]> => (await api().get(path).expect(200)).body as ListedTrace[];
const read = async (id: string): Promise<StoredTrace> =>
  (await api().get(`${path}/${id}`).expect(200)).body as StoredTrace;

const trace = (over: Partial<AddTrace> = {}): AddTrace => ({
  id: randomUUID(),
  pieceId: '',
  name: 'a sweep',
  far: 'load',
  rained: false,
  by: 'Wenna',
  at: '2026-11-20T10:00:00.000Z',
  referenceOhm: 50,
  frequencyHz: [1e6, 2e6, 3e6],
  s11: { re: [0.1, 0.2, 1 / 3], im: [0, -0.1, 1e-17] },
  ...over,
});

describe('traces', () => {
  it('are kept to the last digit, once for each id', async () => {
    const sent = trace();
    await api().post(path).send(sent).expect(204);
    await api().post(path).send(sent).expect(204);
    const { frequencyHz: _, s11: __, ...about } = sent;
    expect(await list()).toEqual([{ ...about, birth: false }]);
    expect(await read(sent.id)).toEqual({ ...sent, birth: false });
  });

  it('one birth record for the run and one for each assembly', async () => {
    const [first, second, alone] = [trace(), trace(), trace({ pieceId: 'main' })];
    for (const one of [first, second, alone]) await api().post(path).send(one).expect(204);
    for (const { id } of [alone, first]) await api().post(`${path}/${id}/birth`).expect(204);
    await api().post(`${path}/${second.id}/birth`).expect(204);
    const births = (await list()).filter(({ birth }) => birth).map(({ id }) => id);
    expect(births.sort()).toEqual([second.id, alone.id].sort());
  });

  // Once a flag inside the document: deleting one, making another and restoring the first left two.
  it('deleting a birth record, making another and restoring the first leaves one', async () => {
    const [first, second] = [trace({ pieceId: 'jumper' }), trace({ pieceId: 'jumper' })];
    for (const one of [first, second]) await api().post(path).send(one).expect(204);
    const births = async (): Promise<string[]> =>
      (await list()).filter(({ birth, pieceId }) => birth && pieceId === 'jumper').map(({ id }) => id);
    await api().post(`${path}/${first.id}/birth`).expect(204);
    await api().delete(`${path}/${first.id}`).expect(204);
    expect(await births()).toEqual([]);
    await api().post(`${path}/${second.id}/birth`).expect(204);
    await api().post(`${path}/${first.id}/restore`).expect(204);
    expect(await births()).toEqual([second.id]);
  });

  it('a restored one is the birth record again when none was made meanwhile', async () => {
    const only = trace({ pieceId: 'jumper' });
    await api().post(path).send(only).expect(204);
    await api().post(`${path}/${only.id}/birth`).expect(204);
    await api().delete(`${path}/${only.id}`).expect(204);
    await api().post(`${path}/${only.id}/restore`).expect(204);
    expect((await list()).find(({ id }) => id === only.id)?.birth).toBe(true);
  });

  it('many who make birth records at once leave one', async () => {
    const all = Array.from({ length: 6 }, () => trace({ pieceId: 'main' }));
    for (const one of all) await api().post(path).send(one).expect(204);
    const answers = await Promise.all(all.map(({ id }) => api().post(`${path}/${id}/birth`)));
    expect(answers.map(({ status }) => status)).toEqual(all.map(() => 204));
    expect((await list()).filter(({ birth, pieceId }) => birth && pieceId === 'main')).toHaveLength(1);
  });

  it('a sweep nobody has cannot be made, deleted or restored', async () => {
    const nowhere = `${path}/${randomUUID()}`;
    await api().post(`${nowhere}/birth`).expect(404);
    await api().delete(nowhere).expect(404);
    await api().post(`${nowhere}/restore`).expect(404);
  });

  it('a deleted one comes back', async () => {
    const sent = trace();
    await api().post(path).send(sent);
    await api().delete(`${path}/${sent.id}`).expect(204);
    expect((await list()).some(({ id }) => id === sent.id)).toBe(false);
    await api().post(`${path}/${sent.id}/restore`).expect(204);
    expect((await list()).some(({ id }) => id === sent.id)).toBe(true);
  });

  it.each([
    [{ s11: { re: [1], im: [0, 0, 0] } }, 's11.re'],
    [{ frequencyHz: [2e6, 1e6, 3e6] }, 'frequencyHz[1]'],
    [{ frequencyHz: [-1, 1e6, 3e6] }, 'frequencyHz[0]'],
    [{ pieceId: 'nowhere' }, 'path'],
    [{ far: 'moon' as never }, 'far'],
    [{ s11: { re: [1, 2, '3' as never], im: [0, 0, 0] } }, 's11.re'],
    [{ referenceOhm: -50 }, 'referenceOhm'],
  ])('%# is refused with its place', async (over, where) => {
    const response = await api().post(path).send(trace(over));
    expect(response.status).toBeGreaterThanOrEqual(400);
    expect(response.status).toBeLessThan(500);
    const problem = response.body as ApiProblem;
    expect(problem.where).toBe(where);
    expect(problem.remedy).toBeTruthy();
  });
});
