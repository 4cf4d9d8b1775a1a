import { describe, expect, it } from 'vitest';
import { chained, checkLog } from '../run/index.js';
import {
  crewEntryText,
  crewEventKinds,
  mayAs,
  MIN_PHRASE,
  phraseAsCompared,
  phraseProblem,
  waitAfter,
  type CrewEntry,
} from './index.js';

describe('roles', () => {
  it('an owner may all, an installer what is not for owners, a viewer only look', () => {
    const may = (role: 'viewer' | 'installer' | 'owner') =>
      (['viewer', 'installer', 'owner'] as const).filter((needed) => mayAs(role, needed));
    expect(may('owner')).toEqual(['viewer', 'installer', 'owner']);
    expect(may('installer')).toEqual(['viewer', 'installer']);
    expect(may('viewer')).toEqual(['viewer']);
  });
});

describe('wrong pass phrases', () => {
  it('cost nothing at first, then twice as long each time, and never more than half an hour', () => {
    expect([0, 1, 4, 5, 6, 7, 8].map((failures) => waitAfter(failures))).toEqual([0, 0, 0, 1, 2, 4, 8]);
    expect(waitAfter(40)).toBe(1800);
    expect(waitAfter(29, 30)).toBe(0);
  });

  // NIST SP 800-63B-4, 3.2.2: no more than 100 failed attempts in a row on one account; here not even in a day.
  it('cannot be tried a hundred times in a day', () => {
    let tries = 0;
    for (let s = 0; s < 24 * 3600; s += Math.max(1, waitAfter(tries))) tries += 1;
    expect(tries).toBeLessThan(100);
  });
});

describe('a pass phrase', () => {
  const code = (phrase: string, name = 'Wenna') => phraseProblem(phrase, name)?.code;

  // NIST SP 800-63B-4, 3.1.1.2: 15 characters where it stands alone, 64 and more taken, no mixture of kinds asked for, blanks taken.
  it.each([
    ['copper tide lantern goat', undefined],
    ['onlysmallletters', undefined],
    ['x7!kQ9#', 'phrase.short'],
    ['fourteen lette', 'phrase.short'],
    ['aaaaaaaaaaaaaaaaaaaaaa', 'phrase.plain'],
    ['Wenna wenna WENNA wenna', 'phrase.plain'],
    [`${'seven words and a half '.repeat(3)}.`, undefined],
    ['ab'.repeat(200), 'phrase.long'],
  ])('%s: %s', (phrase, expected) => expect(code(phrase)).toBe(expected));

  it('is counted in letters, not in units of a code: fifteen of another script are enough', () =>
    expect([code('𝒶𝒷𝒸𝒹𝑒𝒻𝑔𝒽𝒾𝒿𝓀𝓁𝓂𝓃𝑜'), MIN_PHRASE]).toEqual([undefined, 15]));

  // Unicode Standard Annex 15: an é in one piece or in two is the same letter.
  it('is the same however a keyboard makes its letters', () =>
    expect(phraseAsCompared('cafe\u0301 on the quay')).toBe(phraseAsCompared('caf\u00e9 on the quay')));
});

describe('the log of the crew', () => {
  const entry = (kind: CrewEntry['kind'], about: string, k: number): CrewEntry => ({
    id: `7a0e1d00-0000-4000-8000-00000000000${k}`,
    kind,
    by: 'Wenna',
    about,
    at: `2026-11-27T08:0${k}:00.000Z`,
  });
  const entries = [entry('invited', 'Joss', 1), entry('link made', 'the council', 2)];
  const hashes = chained(entries);
  const head = hashes[1];

  it('every kind reads as what somebody did', () => {
    const texts = crewEventKinds.map((kind) => crewEntryText({ kind, about: 'X' }));
    expect(new Set(texts).size).toBe(crewEventKinds.length);
    for (const text of texts)
      expect(text).toMatch(/^(made|invited|with|joined|changed|took|signed|was|opened|put|deleted|imported)/);
  });

  it('shows when an entry was changed, taken out or cut off', () => {
    expect(checkLog({ facts: entries, hashes, head })).toMatchObject({ sound: true, entries: 2 });
    const changed = [{ ...entries[0], about: 'Piran' }, entries[1]];
    expect(checkLog({ facts: changed, hashes, head })).toMatchObject({ sound: false, entry: 1 });
    expect(checkLog({ facts: entries.slice(1), hashes: hashes.slice(1), head })).toMatchObject({ entry: 1 });
    expect(checkLog({ facts: entries.slice(0, 1), hashes: [hashes[0], ''], head })).toMatchObject({
      entry: 2,
    });
  });
});
