import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shareDifference, tally, wilson, type EndOutcome } from './index.js';

describe('interval of a share', () => {
  // R. G. Newcombe, Two-sided confidence intervals for the single proportion, Statistics in Medicine 17 (1998), table I, method 3.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%d of %d: %d to %d', (hits, tries, low, high) => {
    const found = wilson(hits, tries);
    expect(found.low).toBeCloseTo(low, 4);
    expect(found.high).toBeCloseTo(high, 4);
  });

  it('holds the share, lies within 0 and 1, and narrows with tries', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (tries, part) => {
          const hits = Math.round(part * tries);
          const { low, high } = wilson(hits, tries);
          expect(low).toBeGreaterThanOrEqual(0);
          expect(high).toBeLessThanOrEqual(1);
          expect(low).toBeLessThanOrEqual(hits / tries + 1e-12);
          expect(high).toBeGreaterThanOrEqual(hits / tries - 1e-12);
          const more = wilson(hits * 4, tries * 4);
          expect(more.high - more.low).toBeLessThan(high - low);
        },
      ),
    );
  });

  it('nothing tried says nothing', () => expect(wilson(0, 0)).toEqual({ low: 0, high: 1 }));
});

describe('interval of a difference', () => {
  // R. G. Newcombe, Interval estimation for the difference between independent proportions, Statistics in Medicine 17 (1998),
  // table II, method 10.
  it.each([
    [56, 70, 48, 80, 0.0524, 0.3339],
    [9, 10, 3, 10, 0.1705, 0.809],
    [6, 7, 2, 7, 0.0582, 0.8062],
    [5, 56, 0, 29, -0.0381, 0.1926],
    [0, 10, 0, 20, -0.1611, 0.2775],
    [10, 10, 0, 10, 0.6075, 1],
  ])('%d of %d less %d of %d: %d to %d', (a, m, b, n, low, high) => {
    const found = shareDifference({ hits: a, tries: m }, { hits: b, tries: n });
    expect(found.low).toBeCloseTo(low, 4);
    expect(found.high).toBeCloseTo(high, 4);
  });
});

const outcomes = (part: string, made: number, failed: number, cause = 'short'): EndOutcome[] => [
  ...Array.from({ length: made }, (): EndOutcome => ({
    part,
    recipe: 'crimp-uhf',
    person: 'Wenna',
    outcome: 'made',
  })),
  ...Array.from({ length: failed }, (): EndOutcome => ({
    part,
    recipe: 'crimp-uhf',
    person: 'Joss',
    outcome: 'failed',
    cause,
    lostM: 0.05,
  })),
];

describe('what a shop learns from its ends', () => {
  it('names the part which fails more than the others, first', () => {
    const [first, second] = tally([...outcomes('bad', 10, 10), ...outcomes('good', 40, 2)], 'part');
    expect(first).toMatchObject({ key: 'bad', made: 10, failed: 10, against: 'more' });
    expect(first.lostM).toBeCloseTo(0.5, 9);
    expect(second).toMatchObject({ key: 'good', against: 'less' });
  });

  it('one failure in three is no reason yet', () => {
    const [first] = tally([...outcomes('new', 2, 1), ...outcomes('old', 30, 3)], 'part');
    expect(first.against).toBe('alike');
  });

  it('one part alone has nothing to stand against', () =>
    expect(tally(outcomes('only', 5, 5), 'part')[0].against).toBe('alike'));

  it('counts every try once, whatever it is sorted by, and ranks causes', () => {
    const all = [
      ...outcomes('a', 3, 2, 'short'),
      ...outcomes('b', 1, 3, 'wrong die'),
      ...outcomes('a', 0, 1, 'nick'),
    ];
    for (const by of ['part', 'recipe', 'person'] as const) {
      const rows = tally(all, by);
      expect(rows.reduce((sum, { made, failed }) => sum + made + failed, 0)).toBe(all.length);
    }
    expect(tally(all, 'recipe')[0].causes).toEqual([
      { cause: 'wrong die', count: 3 },
      { cause: 'short', count: 2 },
      { cause: 'nick', count: 1 },
    ]);
    expect(tally(all, 'person').find(({ key }) => key === 'Wenna')?.failed).toBe(0);
  });
});
