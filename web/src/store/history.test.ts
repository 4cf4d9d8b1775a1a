import type { Design } from '@kobran/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { edited, historyOf, redone, undone, type History } from './history.js';

const named = (name: string): Design => ({
  schema: 'kobran-design/1',
  name,
  service: {
    bands: [{ name: 'b', lowHz: 1e6, highHz: 1e6 }],
    powerW: 1,
    duty: 1,
    lossBudgetDb: 1,
    dcFeed: false,
    ambientC: 20,
  },
  radio: { name: 'r', face: 'n-jack', handheld: false },
  antenna: { name: 'a', face: 'n-jack', swr: 1, dcShort: false },
  pieces: [],
  legs: [],
});
const names = ({ past, present, future }: History<Design>): string[] =>
  [...past, present, ...future].map(({ name }) => name);

describe('undo and redo', () => {
  it('lead back and forth through every edit', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1 }), { minLength: 1, maxLength: 30 }), (words) => {
        const designs = words.map((word, k) => named(`${k} ${word}`));
        const after = designs.reduce(edited<Design>, historyOf(named('start')));
        const back = designs.reduce((history) => undone(history), after);
        expect(back.present.name).toBe('start');
        expect(designs.reduce((history) => redone(history), back).present).toBe(designs.at(-1));
      }),
    );
  });

  it('an edit after an undo forgets what was ahead, and only that', () => {
    const history = edited(undone(edited(edited(historyOf(named('a')), named('b')), named('c'))), named('d'));
    expect(names(history)).toEqual(['a', 'b', 'd']);
    expect(redone(history)).toEqual(history);
  });

  it('an edit which changes nothing is no step', () => {
    const history = historyOf(named('a'));
    expect(edited(history, named('a'))).toBe(history);
    expect(undone(history)).toEqual(history);
  });

  it('remembers two hundred steps', () => {
    let history = historyOf(named('0'));
    for (let k = 1; k <= 250; k++) history = edited(history, named(String(k)));
    expect(history.past).toHaveLength(200);
    expect(history.past[0].name).toBe('50');
  });
});
