import type { ApiProblem, BookCutting, RunDocument, ShopDocument } from '@kobran/contract';
import { aboutOf, type Reel } from '@kobran/core';
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';

const { api } = demoServer();
const runId = '7a0e1d00-0000-4000-8000-00000000a001';
const reels = async (): Promise<Map<string, { data: Reel; version: number }>> => {
  const { entries } = (await api().get('/api/shop')).body as ShopDocument;
  return new Map(entries.flatMap((one) => (one.kind === 'reel' ? [[one.data.id, one]] : [])));
};
const kinds = async (): Promise<string[]> =>
  ((await api().get(`/api/runs/${runId}`)).body as RunDocument).facts
    .filter((fact) => aboutOf(fact) === 'main')
    .map(({ kind }) => kind);

describe('booking a cutting plan', () => {
  it('changes shelf and log together, once, and takes both back', async () => {
    const before = await reels();
    const drum = before.get('drum-7');
    const coil = before.get('offcut-hook-2');
    if (!drum || !coil) throw new Error('no demo reels');
    const booking: BookCutting = {
      kind: 'cut',
      standing: [drum, coil].map(({ data, version }) => ({ id: data.id, version })),
      put: [
        { ...drum.data, lengthM: 9.5 },
        { ...drum.data, id: 'drum-7-2', name: 'Drum 7, part 2', lengthM: 1.2 },
      ],
      remove: ['offcut-hook-2'],
      pieces: [{ id: randomUUID(), runId, pieceId: 'main', lengthM: 21.6, reel: 'Drum 7' }],
      by: 'Wenna',
      at: '2026-11-25T09:00:00.000Z',
    };
    await api().post('/api/cuttings').send(booking).expect(204);
    await api().post('/api/cuttings').send(booking).expect(204);
    const after = await reels();
    expect(after.get('drum-7')).toMatchObject({ data: { lengthM: 9.5 }, version: drum.version + 1 });
    expect(after.has('offcut-hook-2')).toBe(false);
    expect(after.get('drum-7-2')?.data.lengthM).toBe(1.2);
    expect((await kinds()).filter((kind) => kind === 'cut')).toHaveLength(1);
    await api()
      .post('/api/cuttings')
      .send({
        ...booking,
        kind: 'not cut',
        standing: [
          { id: 'drum-7', version: drum.version + 1 },
          { id: 'drum-7-2', version: 1 },
        ],
        put: [drum.data, coil.data],
        remove: ['drum-7-2'],
        pieces: [{ ...booking.pieces[0], id: randomUUID() }],
        at: '2026-11-25T09:05:00.000Z',
      })
      .expect(204);
    const back = await reels();
    expect([...back].map(([id, { data }]) => [id, data.lengthM])).toEqual(
      [...before].map(([id, { data }]) => [id, data.lengthM]),
    );
    expect((await kinds()).at(-1)).toBe('not cut');
  });

  it.each([
    [{ standing: [{ id: 'drum-8', version: 99 }] }, 409, 'standing'],
    [
      { put: [{ id: 'x', name: 'X', cable: 'rg213', lot: '', lengthM: -1, isNew: false, damaged: [] }] },
      400,
      'put[0].data.lengthM',
    ],
    [
      {
        put: [
          {
            id: 'x',
            name: 'X',
            cable: 'rg213',
            lot: '',
            lengthM: 5,
            isNew: false,
            damaged: [{ fromM: 4, toM: 6 }],
          },
        ],
      },
      400,
      'put[0].data.damaged[0].toM',
    ],
    [{ pieces: [{ id: randomUUID(), runId: randomUUID(), pieceId: 'main' }] }, 404, 'path'],
  ])('%# is refused as a whole', async (over, status, where) => {
    const before = [...(await reels())];
    const logged = await kinds();
    const response = await api()
      .post('/api/cuttings')
      .send({
        kind: 'cut',
        standing: [],
        put: [],
        remove: ['rg58-box'],
        pieces: [{ id: randomUUID(), runId, pieceId: 'main' }],
        by: '',
        at: '2026-11-25T09:00:00.000Z',
        ...over,
      })
      .expect(status);
    expect((response.body as ApiProblem).where).toBe(where);
    expect([...(await reels())]).toEqual(before);
    expect(await kinds()).toEqual(logged);
  });
});
