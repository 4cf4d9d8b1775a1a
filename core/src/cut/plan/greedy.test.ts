import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { greedyPlan } from './greedy.js';
import { allowed, groupsOf, lotKey, soundMm, spanMm, takenMm } from './grouping.js';
import { SAW_M, type Span, type WantedPiece } from './stock.js';

const piece = (id: string, lengthM: number, over: Partial<WantedPiece> = {}): WantedPiece => ({
  id,
  name: id,
  cable: 'rg213',
  lengthM,
  set: '',
  lot: '',
  ...over,
});
const span = (name: string, lengthM: number, over: Partial<Span> = {}): Span => ({
  reel: undefined,
  name,
  lot: name,
  source: 'offcut',
  fromM: 0,
  lengthM,
  ...over,
});

describe('pieces that are alike', () => {
  it('are one group, the saw’s cut in it, rounded up and never down', () => {
    const groups = groupsOf([piece('a', 2), piece('b', 2), piece('c', 2.0001), piece('d', 3)]);
    expect(groups.map(({ lengthMm, pieces }) => [lengthMm, pieces.length])).toEqual([
      [Math.ceil((3 + SAW_M) * 1000), 1],
      [2006, 1],
      [2005, 2],
    ]);
  });
  it('of other lots or sets are others', () =>
    expect(groupsOf([piece('a', 2), piece('b', 2, { lot: 'x' }), piece('c', 2, { set: 's' })])).toHaveLength(
      3,
    ));
  it('a span is measured down to the millimetre, and holds the saw cut which its last piece does not need', () => {
    expect(soundMm(span('a', 1.9999))).toBe(1999);
    expect(spanMm(span('a', 2))).toBe(2005);
    // A tape gives 37 m to a centimetre (common practice, no source).
    expect(spanMm(span('a', 37))).toBe(37_015);
  });
  it('a lot nobody knows is no lot anyone asked for', () => {
    const [group] = groupsOf([piece('a', 1, { lot: 'Drum 7' })]);
    expect(allowed(group, span('x', 5, { lot: '' }))).toBe(false);
    expect(allowed(group, span('x', 5, { lot: 'Drum 7' }))).toBe(true);
    expect(lotKey(span('x', 5, { lot: '' }), 1)).not.toBe(lotKey(span('y', 5, { lot: '' }), 2));
  });
});

describe('a careful hand', () => {
  const cut = (pieces: WantedPiece[], spans: Span[]) => {
    const groups = groupsOf(pieces);
    return { groups, counts: greedyPlan(groups, spans) };
  };

  it('takes the shortest stretch that holds a piece, and offcuts before reels', () => {
    const spans = [span('reel', 100, { source: 'reel' }), span('long', 9), span('short', 4)];
    expect(cut([piece('a', 3.5)], spans).counts).toEqual([[0, 0, 1]]);
    expect(cut([piece('a', 8)], spans).counts).toEqual([[0, 1, 0]]);
    expect(cut([piece('a', 20)], spans).counts).toEqual([[1, 0, 0]]);
  });

  it('keeps a set in one lot, even where single pieces would fit better elsewhere', () => {
    const spans = [span('one', 3.2), span('two', 6.5)];
    const { counts } = cut([piece('a', 3, { set: 's' }), piece('b', 3, { set: 's' })], spans);
    expect(counts).toEqual([[0, 2]]);
  });

  it('says when a piece finds no place', () => {
    expect(cut([piece('a', 10)], [span('short', 4)]).counts).toBeUndefined();
    expect(
      cut([piece('a', 3, { set: 's' }), piece('b', 3, { set: 's' })], [span('one', 4), span('two', 4)])
        .counts,
    ).toBeUndefined();
  });

  // A law: whatever is planned can be cut.
  it('never cuts more from a stretch than there is, and cuts every piece', () => {
    const lengths = fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(lengths, lengths, (wanted, stretches) => {
        const spans = stretches.map((dm, k) => span(`s${k}`, dm / 4));
        const { groups, counts } = cut(
          wanted.map((dm, k) => piece(`p${k}`, dm / 10)),
          spans,
        );
        if (!counts) return;
        for (const [b, taken] of takenMm(groups, counts, spans).entries())
          expect(taken).toBeLessThanOrEqual(spanMm(spans[b]));
        for (const [t, group] of groups.entries())
          expect(counts[t].reduce((sum, n) => sum + n, 0)).toBe(group.pieces.length);
      }),
    );
  });
});
