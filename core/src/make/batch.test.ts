import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import {
  batchFinished,
  cardFor,
  failPiece,
  freshBatch,
  isDone,
  nextPiece,
  piecesOf,
  readPiece,
  stepBack,
  tickPiece,
  untickPiece,
  type Batch,
} from './index.js';

const made = cardFor(entry(catalog.parts, 'bnc-plug-crimp-5mm'), entry(catalog.cables, 'rg58'), 'metric');
if (!made) throw new Error('no card');
const card = made;
const fine = { readingOk: true, maker: 'Wenna' };
const step = (batch: Batch) => card.steps[batch.step];
const ticked = (batch: Batch, ...pieces: number[]): Batch =>
  pieces.reduce((now, piece) => tickPiece(now, card, piece, fine).batch, batch);

describe('ten of the same', () => {
  it('a step is done on every piece before the next begins, in whatever order', () => {
    const some = ticked(freshBatch(3), 3, 1);
    expect(some.step).toBe(0);
    expect(nextPiece(some, step(some))).toBe(2);
    expect(ticked(some, 2).step).toBe(1);
  });

  it('a tick twice counts once, and can be taken back', () => {
    const twice = ticked(freshBatch(2), 1, 1);
    expect(twice.done).toEqual({ parts: [1] });
    expect(untickPiece(twice, card, 1).done).toEqual({ parts: [] });
  });

  it('a check needs its own reading of each piece', () => {
    const at = card.steps.findIndex(({ reading }) => reading);
    const before: Batch = { ...freshBatch(2), step: at };
    const refused = tickPiece(before, card, 2, {});
    expect(refused.batch).toBe(before);
    expect(refused.blocked).toBe('Piece 2: take the reading first.');
    expect(tickPiece(before, card, 2, { readingOk: false }).blocked).toContain('mend it');
    expect(readPiece(before, card, 2, Infinity).readings).toEqual({ [card.steps[at].id]: { 2: null } });
  });

  it('a failed piece drops out and holds nobody up', () => {
    const failed = failPiece(ticked(freshBatch(3), 1, 2), card, 3, 'short');
    expect(piecesOf(failed)).toEqual([1, 2]);
    expect(failed.step).toBe(1);
    expect(failed.failed).toEqual({ 3: { cause: 'short', step: 'Parts' } });
    expect(tickPiece(failed, card, 3, fine).batch).toBe(failed);
  });

  it('nobody signs without a name', () => {
    const last: Batch = { ...freshBatch(1), step: card.steps.length - 1 };
    expect(tickPiece(last, card, 1, { readingOk: true }).blocked).toContain('who made');
  });

  it('whatever happens, every piece is signed or failed in the end, and none twice', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.array(
          fc.record({ piece: fc.integer({ min: 1, max: 8 }), act: fc.constantFrom('tick', 'fail', 'back') }),
        ),
        (count, acts) => {
          let batch = freshBatch(count);
          for (const { piece, act } of acts) {
            if (act === 'back') batch = stepBack(batch);
            else if (piece <= count && act === 'tick') batch = tickPiece(batch, card, piece, fine).batch;
            else if (
              piece <= count &&
              act === 'fail' &&
              !(piece in batch.failed) &&
              piecesOf(batch).length > 1
            )
              batch = failPiece(batch, card, piece, 'a cause');
          }
          for (let guard = 0; guard < 400 && !batchFinished(batch, card); guard++) {
            const piece = nextPiece(batch, step(batch));
            batch = piece === undefined ? { ...batch, step: batch.step + 1 } : ticked(batch, piece);
          }
          expect(batchFinished(batch, card)).toBe(true);
          const signed = batch.done.sign;
          expect(new Set(signed).size).toBe(signed.length);
          for (const piece of piecesOf(batch)) expect(isDone(batch, card.steps[0], piece)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });
});
