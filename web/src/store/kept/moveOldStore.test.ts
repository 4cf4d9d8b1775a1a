import { upgradedFact } from '@kobran/contract';
import { describe, expect, it } from 'vitest';
import { FakeKeeper } from '../fakes.fixture.js';
import { readParcel } from '../readParcel.js';
import { OUTBOX, draftKey, progressKey } from './keys.js';
import { moveOldStore } from './moveOldStore.js';

const RUN = '7a0e1d00-0000-4000-8000-00000000a001';
const NOW = '2026-11-25T12:00:00.000Z';
const at = '2026-11-20T10:00:00.000Z';

/** The browser’s local storage, as much of it as is used. */
function oldStorage(content: Record<string, unknown>): Storage {
  const storage = Object.fromEntries(
    Object.entries(content).map(([key, value]) => [
      key,
      typeof value === 'string' ? value : JSON.stringify(value),
    ]),
  );
  return Object.defineProperties(storage, {
    getItem: { value: (key: string) => storage[key] ?? null },
    removeItem: { value: (key: string) => delete storage[key] },
  }) as unknown as Storage;
}

// What the version of 24 November 2026 kept.
describe('what an older version kept in this browser', () => {
  it('its outbox arrives as facts, drafts and places on cards stay', async () => {
    const reading = {
      id: '00000000-0000-4000-8000-000000000001',
      pieceId: 'main',
      expectation: 'loop',
      value: 0.3,
      by: 'Wenna',
      at,
    };
    const made = {
      id: '00000000-0000-4000-8000-000000000002',
      kind: 'end made',
      about: 'main.a',
      text: 'N plug, crimp: made by the card',
      by: 'Wenna',
      at,
    };
    const old = oldStorage({
      'kobran.outbox': [
        { runId: RUN, kind: 'reading', body: reading },
        { runId: RUN, kind: 'log', body: made },
      ],
      [`kobran.draft.${RUN}`]: { version: 2, design: { name: 'x' } },
      [`kobran.card.${RUN}.main.a`]: { step: 3 },
      [`kobran.card.${RUN}.main.b.re-end`]: { step: 4 },
      [`kobran.batch.${RUN}.main.a`]: { count: 5 },
      'kobran.preferences': { units: 'imperial' },
    });
    const keeper = new FakeKeeper();
    await moveOldStore(old, keeper, upgradedFact, NOW);
    const parcels = (await keeper.entries(OUTBOX)).map(([, value]) => readParcel(value));
    expect(parcels.map((read) => read.ok && read.parcel.body)).toEqual([
      { ...reading, kind: 'reading' },
      { id: made.id, kind: 'end made', endId: 'main.a', wording: made.text, by: 'Wenna', at },
    ]);
    expect(await keeper.get(draftKey(RUN, 'before'))).toEqual({ version: 2, design: { name: 'x' } });
    expect(await keeper.get(progressKey(RUN, 'card main.a'))).toEqual({ at: NOW, body: { step: 3 } });
    expect(await keeper.get(progressKey(RUN, 'card main.b re-end'))).toEqual({ at: NOW, body: { step: 4 } });
    expect(await keeper.get(progressKey(RUN, 'batch main.a'))).toEqual({ at: NOW, body: { count: 5 } });
    expect(Object.keys(old)).toEqual(['kobran.preferences']);
  });

  it('a truncated write stays where it was and stops nothing', async () => {
    const old = oldStorage({
      [`kobran.draft.${RUN}`]: '{"version": 2, "des',
      [`kobran.card.${RUN}.main.a`]: { step: 3 },
    });
    const keeper = new FakeKeeper();
    await moveOldStore(old, keeper, upgradedFact, NOW);
    expect(Object.keys(old)).toEqual([`kobran.draft.${RUN}`]);
    expect(await keeper.get(progressKey(RUN, 'card main.a'))).toBeDefined();
  });
});
