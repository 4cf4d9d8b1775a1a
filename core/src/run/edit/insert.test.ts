import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { aRun, sheetOf } from '../aRun.fixture.js';
import { applyChange, insertPiece } from '../index.js';

const empty = aRun({ pieces: [], legs: [], radio: { name: 'Set', face: 'uhf-jack', handheld: false } });

describe('putting a piece in', () => {
  it('a cable gets ends which meet both neighbours', () => {
    const design = applyChange(empty, insertPiece(empty, 0, { kind: 'assembly', cable: 'rg213' }, catalog));
    expect(sheetOf(design).joints.map(({ mating }) => mating.verdict)).toEqual(['mates', 'mates']);
  });

  it('an adapter is turned to its neighbour, and ids stay apart', () => {
    const once = applyChange(
      empty,
      insertPiece(empty, 0, { kind: 'adapter', adapter: 'uhf-plug-to-n-jack' }, catalog),
    );
    expect(sheetOf(once).joints[0].mating.verdict).toBe('mates');
    const twice = applyChange(
      once,
      insertPiece(once, 1, { kind: 'adapter', adapter: 'n-plug-to-n-jack-angle' }, catalog),
    );
    expect(twice.pieces.map(({ id }) => id)).toEqual(['adapter', 'adapter-2']);
  });

  it('an arrester goes in with its surge side to the antenna', () => {
    const [piece] = applyChange(
      empty,
      insertPiece(empty, 0, { kind: 'arrester', arrester: 'blocked-n' }, catalog),
    ).pieces;
    expect(piece).toMatchObject({ kind: 'arrester', reversed: true });
  });
});
