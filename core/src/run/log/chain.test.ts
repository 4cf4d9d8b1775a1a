import fc from 'fast-check';
import { createHash } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import type { Fact } from '../facts/kinds.js';
import { chained, checkLog, documentHash, EMPTY_LOG, entryHash, type KeptLog } from './index.js';

const sha256 = (text: string): string => createHash('sha256').update(text, 'utf8').digest('hex');

const note = (text: string, over: Partial<Fact> = {}): Fact =>
  ({ id: 'n', kind: 'note', by: 'Wenna', at: '2026-11-26T09:00:00.000Z', about: '', text, ...over }) as Fact;

const someNote = fc
  .record({
    text: fc.string({ unit: 'grapheme', maxLength: 12 }),
    by: fc.constantFrom('Wenna', 'Joss', ''),
    minute: fc.integer({ min: 0, max: 59 }),
  })
  .map(({ text, by, minute }) =>
    note(text, { by, at: `2026-11-26T09:${String(minute).padStart(2, '0')}:00.000Z` }),
  );
const someLog = fc.array(someNote, { minLength: 1, maxLength: 12 });
const kept = (facts: Fact[]): KeptLog => {
  const hashes = chained(facts);
  return { facts, hashes, head: hashes.at(-1) ?? EMPTY_LOG };
};

describe('the chained log', () => {
  // RFC 8785, 3.2.2 and 3.2.4: members in order of UTF-16, shortest numbers, no spaces, UTF-8.
  it('is SHA-256 over canonical JSON, as another library computes it', () => {
    expect(
      documentHash({ numbers: [333333333.33333329, 1e30, 4.5, 2e-3, 1e-27], literals: [null, true] }),
    ).toBe(sha256('{"literals":[null,true],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27]}'));
    expect(EMPTY_LOG).toBe(sha256('kobran-log/1'));
    expect(entryHash(EMPTY_LOG, note('dröge'))).toBe(
      sha256(
        `${sha256('kobran-log/1')}\n{"about":"","at":"2026-11-26T09:00:00.000Z","by":"Wenna","kind":"note","text":"dröge"}`,
      ),
    );
  });

  it('is sound as it was written, whatever ids its rows have', () => {
    fc.assert(
      fc.property(someLog, (facts) => {
        const log = kept(facts);
        const elsewhere = facts.map((fact, k) => ({ ...fact, id: `row ${k}` }));
        expect(checkLog({ ...log, facts: elsewhere })).toMatchObject({ sound: true, entries: facts.length });
      }),
    );
  });

  it('goes on behind its head as if it had been written in one', () => {
    fc.assert(
      fc.property(someLog, someLog, (first, more) => {
        const before = chained(first);
        expect([...before, ...chained(more, before.at(-1))]).toEqual(chained([...first, ...more]));
      }),
    );
  });

  it('finds every single change, and says where', () => {
    fc.assert(
      fc.property(someLog, fc.nat(), someNote, (facts, n, other) => {
        const at = n % facts.length;
        fc.pre(JSON.stringify(facts[at]) !== JSON.stringify(other));
        expect(checkLog({ ...kept(facts), facts: facts.with(at, other) })).toMatchObject({
          sound: false,
          entry: at + 1,
        });
      }),
    );
  });

  it('finds every entry taken out, the last one too', () => {
    fc.assert(
      fc.property(someLog, fc.nat(), (facts, n) => {
        const at = n % facts.length;
        const log = kept(facts);
        expect(checkLog({ ...log, facts: facts.toSpliced(at, 1) }).sound).toBe(false);
        expect(
          checkLog({ ...log, facts: facts.toSpliced(at, 1), hashes: log.hashes.toSpliced(at, 1) }).sound,
        ).toBe(false);
      }),
    );
  });

  it('finds every two entries changed about, and every one put in', () => {
    fc.assert(
      fc.property(someLog, fc.nat(), fc.nat(), someNote, (facts, n, m, other) => {
        const [i, j] = [n % facts.length, m % facts.length];
        const log = kept(facts);
        if (JSON.stringify(facts[i]) !== JSON.stringify(facts[j]))
          expect(checkLog({ ...log, facts: facts.with(i, facts[j]).with(j, facts[i]) })).toMatchObject({
            sound: false,
            entry: Math.min(i, j) + 1,
          });
        expect(checkLog({ ...log, facts: facts.toSpliced(i, 0, other) }).sound).toBe(false);
      }),
    );
  });
});
