import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { Refused, Unreachable } from './client.js';
import { FakeClock, settled } from './fakes.fixture.js';
import { keepAnswers, ofThisDevice } from './keepAnswers.js';
import type { AnswerStore, KeptAnswer } from './kept/answers.js';

class MemoryAnswers implements AnswerStore {
  readonly kept = new Map<string, KeptAnswer>();
  isFull = false;
  get(key: string) {
    return Promise.resolve(this.kept.get(key));
  }
  put(key: string, answer: KeptAnswer) {
    if (this.isFull) return Promise.reject(new DOMException('', 'QuotaExceededError'));
    this.kept.set(key, structuredClone(answer));
    return Promise.resolve();
  }
  forgetBefore() {
    return Promise.resolve();
  }
  forgetAll() {
    this.kept.clear();
    return Promise.resolve();
  }
}

const KEY = ['run', '1'];

/** A page which was just opened, on a device with this store. */
function page(store: MemoryAnswers, form = 'a') {
  const clock = new FakeClock();
  const queries: QueryClient = new QueryClient({
    defaultOptions: {
      queries: {
        retry: false,
        networkMode: 'always',
        persister: keepAnswers({
          store,
          form,
          now: () => 1,
          later: clock.later,
          cameLate: (key, data) => queries.setQueryData(key, data),
        }),
      },
    },
  });
  const ask = (answer: () => Promise<unknown>, meta = {}) =>
    queries.fetchQuery({ queryKey: KEY, queryFn: answer, meta });
  return { clock, queries, ask };
}
const gives = (data: unknown) => () => Promise.resolve(data);
const away = () => Promise.reject(new Unreachable());
const refused = () =>
  Promise.reject(new Refused(404, { code: 'run.not-found', message: 'Gone.', where: '', remedy: '' }));

describe('answers of the server', () => {
  it('are given again by the next page while the server is away', async () => {
    const store = new MemoryAnswers();
    expect(await page(store).ask(gives('once'))).toBe('once');
    expect(await page(store).ask(away)).toBe('once');
    expect(await page(store).ask(gives('twice'))).toBe('twice');
    expect(await page(store).ask(away)).toBe('twice');
  });

  it('are not believed when there was none, or one of another shape', async () => {
    const store = new MemoryAnswers();
    await expect(page(store).ask(away)).rejects.toThrow(Unreachable);
    await page(store, 'a').ask(gives('old shape'));
    await expect(page(store, 'b').ask(away)).rejects.toThrow(Unreachable);
  });

  it('do not hide a refusal: what is gone is gone', async () => {
    const store = new MemoryAnswers();
    await page(store).ask(gives('once'));
    await expect(page(store).ask(refused)).rejects.toThrow('Gone.');
  });

  it('are shown when the server does not answer in time, and give way when it does after all', async () => {
    const store = new MemoryAnswers();
    await page(store).ask(gives('kept'));
    const { clock, queries, ask } = page(store);
    let answer: (data: string) => void = () => undefined;
    const asked = ask(() => new Promise((resolve) => (answer = resolve)));
    await settled();
    await clock.pass(3_000);
    expect(await asked).toBe('kept');
    answer('late');
    await settled();
    expect(queries.getQueryData(KEY)).toBe('late');
    expect(await page(store).ask(away)).toBe('late');
  });

  it('of this device itself are not kept twice, and a full device stops nothing', async () => {
    const store = new MemoryAnswers();
    await page(store).ask(gives('mine'), ofThisDevice);
    expect(store.kept.size).toBe(0);
    store.isFull = true;
    expect(await page(store).ask(gives('theirs'))).toBe('theirs');
  });
});
