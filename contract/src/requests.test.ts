import { describe, expect, it } from 'vitest';
import { CreateJob, ImportShop, JobFile, PutShopEntry, ReplaceRun, readAs, readFact } from './index.js';

const id = '7a0e1d00-0000-4000-8000-00000000a001';
const at = '2026-11-03T09:00:00.000Z';
const whereOf = (read: ReturnType<typeof readFact>): string[] =>
  read.ok ? [] : [...new Set(read.problems.map((problem) => problem.where))];
const where = (type: Parameters<typeof readAs>[0], value: object): string[] => {
  const read = readAs(type, value);
  return read.ok ? [] : [...new Set(read.problems.map((problem) => problem.where))];
};

describe('what travels to the server', () => {
  it('a reading: a number, or null for over range, and nothing else', () => {
    const reading = {
      id,
      kind: 'reading',
      pieceId: 'main',
      expectation: 'loop',
      value: 0.3,
      by: 'Wenna',
      at,
    };
    expect(whereOf(readFact(reading))).toEqual([]);
    expect(whereOf(readFact({ ...reading, value: null }))).toEqual([]);
    for (const value of ['0.3', Infinity, undefined])
      expect(whereOf(readFact({ ...reading, value }))).toContain('value');
    expect(whereOf(readFact({ ...reading, at: 'yesterday' }))).toEqual(['at']);
    expect(whereOf(readFact({ ...reading, note: 'x' }))).toEqual(['note']);
  });

  it('a fact of a known kind, not longer than a page', () => {
    const note = { id, kind: 'note', about: '', text: 'looked at', by: '', at };
    expect(whereOf(readFact(note))).toEqual([]);
    expect(whereOf(readFact({ ...note, kind: 'gossip' }))).toEqual(['kind']);
    expect(whereOf(readFact({ ...note, text: 'x'.repeat(501) }))).toEqual(['text']);
  });

  it('a job: named, its practice checked inside', () => {
    expect(where(CreateJob, { id, name: 'Hut', site: '' })).toEqual([]);
    expect(where(CreateJob, { id: '1', name: '', site: '' }).sort()).toEqual(['id', 'name']);
    const practice = { cutSchool: 'exact', tapeStretch: 'hard', remakesPerEnd: 1, diesMm: [5.4] };
    expect(where(CreateJob, { id, name: 'Hut', site: '', practice })).toEqual([]);
    expect(where(CreateJob, { id, name: 'Hut', site: '', practice: { ...practice, diesMm: [-1] } })).toEqual([
      'practice.diesMm',
    ]);
  });

  it('versions are whole and not negative', () => {
    expect(where(ReplaceRun, { version: 1, design: {} })).toEqual([]);
    for (const version of [0, 1.5, '1'])
      expect(where(ReplaceRun, { version, design: {} })).toEqual(['version']);
    expect(where(PutShopEntry, { version: 0, data: {} })).toEqual([]);
    expect(where(PutShopEntry, { version: -1, data: {} })).toEqual(['version']);
  });

  it('lists are bounded and their members named by their place', () => {
    expect(
      where(ImportShop, {
        entries: [
          { kind: 'stock', data: {} },
          { kind: 'spoon', data: {} },
        ],
      }),
    ).toEqual(['entries[1].kind']);
    const practice = { cutSchool: 'exact', tapeStretch: 'hard', remakesPerEnd: 1 };
    const file = { schema: 'kobran-job/2', exportedAt: at, name: 'Hut', site: '', practice, runs: [] };
    expect(where(JobFile, file)).toEqual([]);
    expect(
      where(JobFile, {
        ...file,
        runs: Array.from({ length: 201 }, () => ({ design: {}, facts: [] })),
      }),
    ).toEqual(['runs']);
    expect(where(JobFile, { ...file, schema: 'kobran-job/9' })).toEqual(['schema']);
  });
});
