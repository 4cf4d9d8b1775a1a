import { QueryClient } from '@tanstack/react-query';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { keepAnswers } from './keepAnswers.js';
import { keepSite, keptSites, NotAllKept } from './keepSite.js';
import type { AnswerStore, KeptAnswer } from './kept/answers.js';
import { MemoryKeeper } from './kept/keeper.js';

/** A device with room for so many answers. */
function device(room: number) {
  const kept = new Map<string, KeptAnswer>();
  const answers: AnswerStore = {
    get: (key) => Promise.resolve(kept.get(key)),
    put: (key, answer) => {
      if (!kept.has(key) && kept.size >= room)
        return Promise.reject(new DOMException('', 'QuotaExceededError'));
      kept.set(key, answer);
      return Promise.resolve();
    },
    forgetBefore: () => Promise.resolve(),
    forgetAll: () => Promise.resolve(),
  };
  const persister = keepAnswers({
    store: answers,
    form: 'a',
    now: () => Date.now(),
    later: () => () => undefined,
    cameLate: () => undefined,
  });
  const queries = new QueryClient({ defaultOptions: { queries: { persister, retry: false } } });
  return { queries, keeper: new MemoryKeeper(), answers };
}

/** A server whose one site has one run, without sweeps. */
const answer = (path: string): unknown =>
  path.startsWith('/api/jobs/')
    ? { id: 'j', name: 'Heron Weir', runs: [{ id: 'r', facts: [] }] }
    : path.startsWith('/api/board')
      ? { rows: [], workingOut: 0 }
      : path.endsWith('/traces')
        ? []
        : {};

describe('a site which is kept on the device', () => {
  afterEach(() => void vi.unstubAllGlobals());

  it('is said to be kept when all of it is, and not when the room ran out', async () => {
    vi.stubGlobal('fetch', (path: string) => Promise.resolve(new Response(JSON.stringify(answer(path)))));
    for (const [room, names] of [
      [100, ['Heron Weir']],
      [5, []],
    ] as const) {
      const { queries, keeper, answers } = device(room);
      const done = keepSite(queries, { keeper, answers }, 'j', () => undefined);
      if (names.length > 0) expect(await done).toMatchObject({ name: 'Heron Weir', runs: 1 });
      else await expect(done).rejects.toThrow(NotAllKept);
      expect((await keptSites(keeper)).map(({ name }) => name)).toEqual(names);
    }
  });
});
