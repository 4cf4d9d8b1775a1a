import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { whenDue } from '../../handover/inspections.js';
import { aRun, cable, fact, sheetOf } from '../aRun.fixture.js';
import { peopleOf, runSummary, searchWords, wordsIn } from './runSummary.js';

describe('the words a run is found by', () => {
  it.each([
    ['RG-213/U, 12 m', ['rg-213/u', '12', 'm']],
    ['N jack to N jack', ['n', 'jack', 'to']],
    ['“Mast” cable (upper): 230 V!', ['mast', 'cable', 'upper', '230', 'v']],
    ['Señal, größer', ['señal', 'größer']],
    ['7/16 & 4.3-10 --- ...', ['7/16', '4.3-10']],
    [' \n\t', []],
  ])('of “%s” are %j', (text, words) => expect(wordsIn(text)).toEqual(words));

  it('are of name, label, ports, cable by the name and the alias of the trade, connectors and problems', () => {
    const design = aRun({
      name: 'Voice to the mast',
      pieces: [cable({ label: 'Feeder', cable: 'c400', lengthM: 12.5, a: { part: 'n-plug-gland-10mm' } })],
    });
    const words = searchWords(design, sheetOf(design), catalog);
    for (const word of ['voice', 'feeder', 'set', 'aerial', 'low-loss', '400', 'class', 'jack'])
      expect(words).toContain(word);
    expect(new Set(words).size).toBe(words.length);
  });
});

describe('what a list says of a run', () => {
  it('is what its sheet says, and no more than a list can carry', () => {
    const sheet = sheetOf(aRun({ pieces: [cable({ lengthM: 60 })] }));
    const summary = runSummary('A run', sheet);
    expect(summary.worst?.what).toBe(sheet.snags[0].what);
    expect(summary.next).toEqual(sheet.next);
    expect(summary.stages.map(({ state }) => state)).toEqual(sheet.stages.map(({ state }) => state));
    expect(summary.line.joints.map(({ atM }) => atM)).toEqual([0, 60]);
    // A page of thirty is sent in one go: the sheet itself is some hundred times as long.
    expect(JSON.stringify(summary).length).toBeLessThan(3_000);
  });

  it('names everybody who has signed something, once', () => {
    const note = (by: string) => ({
      ...fact({ kind: 'note', about: '', text: 'x' }, '2026-11-20T08:00:00Z'),
      by,
    });
    expect(peopleOf([note('Wenna'), note(''), note('Joss'), note('Wenna')])).toEqual(['Joss', 'Wenna']);
  });
});

describe('what is looked at again', () => {
  it.each([
    ['2026-11-26T23:59:00Z', 'overdue'],
    ['2026-11-27T00:00:00Z', 'soon'],
    ['2027-01-26T12:00:00Z', 'soon'],
    ['2027-01-27T12:00:00Z', 'later'],
  ])('due at %s is %s: by days, sixty ahead', (due, when) =>
    expect(whenDue(due, '2026-11-27T15:00:00Z')).toBe(when),
  );
});
