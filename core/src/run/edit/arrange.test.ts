import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anOutdoorRun, sheetOf } from '../aRun.fixture.js';
import { applyChange, dropIndex, movePiece, removePiece, turnPiece } from '../index.js';

const run = anOutdoorRun();
const ids = (design = run): string[] => design.pieces.map(({ id }) => id);
const after = (changes: ReturnType<typeof movePiece>): string[] => ids(changes.reduce(applyChange, run));

describe('arranging the pieces of a run', () => {
  it('moves a piece and keeps the others in order', () => {
    expect(after(movePiece(run, 'main', 0))).toEqual(['main', 'in', 'arrester']);
    expect(after(movePiece(run, 'in', 2))).toEqual(['arrester', 'main', 'in']);
    expect(after(movePiece(run, 'in', 99))).toEqual(['arrester', 'main', 'in']);
    expect(movePiece(run, 'in', 0)).toEqual([]);
    expect(movePiece(run, 'gone', 1)).toEqual([]);
  });

  it('there and back again is where it was, and no piece is lost', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ids()), fc.nat(2), (id, to) => {
        const from = ids().indexOf(id);
        const moved = movePiece(run, id, to).reduce(applyChange, run);
        expect(ids(moved).toSorted()).toEqual(ids().toSorted());
        expect(ids(movePiece(moved, id, from).reduce(applyChange, moved))).toEqual(ids());
      }),
    );
  });

  it('turns and removes', () => {
    const [piece] = run.pieces;
    const twice = [...turnPiece(piece)].reduce(applyChange, run).pieces[0];
    expect(turnPiece(twice).reduce(applyChange, run).pieces[0]).toEqual(piece);
    expect(after(removePiece(run, 'arrester'))).toEqual(['in', 'main']);
    expect(removePiece(run, 'gone')).toEqual([]);
  });

  it('a piece dropped in the middle of another takes its place', () => {
    const { pieces } = sheetOf(run);
    expect(dropIndex(pieces, 'main', 0)).toBe(0);
    expect(dropIndex(pieces, 'in', 30)).toBe(2);
    expect(dropIndex(pieces, 'arrester', pieces[1].fromM)).toBe(1);
  });
});
