import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anOutdoorRun, cable, sheetOf } from '../aRun.fixture.js';
import { applyChange, freshId, type AnyPiece, type Change } from '../index.js';

const design = anOutdoorRun();
const untouched = JSON.stringify(design);

const anyChange: fc.Arbitrary<Change> = fc.oneof(
  fc.record({
    op: fc.constant('splice pieces' as const),
    at: fc.nat(4),
    remove: fc.nat(3),
    insert: fc.constant<AnyPiece[]>([]),
  }),
  fc.record({
    op: fc.constant('set piece' as const),
    piece: fc.constantFrom(cable({ lengthM: 3 }), cable({ id: 'gone' })),
  }),
  fc.record({
    op: fc.constant('set service' as const),
    service: fc.record({ powerW: fc.double({ min: 0, max: 100, noNaN: true }) }),
  }),
  fc.record({ op: fc.constant('set radio' as const), radio: fc.record({ handheld: fc.boolean() }) }),
  fc.record({
    op: fc.constant('set antenna' as const),
    antenna: fc.record({ swr: fc.double({ min: 1, max: 9, noNaN: true }) }),
  }),
  fc.record({ op: fc.constant('set name' as const), name: fc.string({ minLength: 1 }) }),
);

describe('changes of a design', () => {
  it('never touch the design they start from, and what follows can be evaluated', () => {
    fc.assert(
      fc.property(fc.array(anyChange, { maxLength: 6 }), (changes) => {
        const after = changes.reduce(applyChange, design);
        expect(JSON.stringify(design)).toBe(untouched);
        expect(sheetOf(after).joints).toHaveLength(after.pieces.length + 1);
      }),
      { numRuns: 40 },
    );
  });

  it('a piece which is gone stays gone', () =>
    expect(applyChange(design, { op: 'set piece', piece: cable({ id: 'gone' }) })).toEqual(design));

  it('a new id is never one in use, nor a port’s', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('a', 'a-2', 'a-3', 'radio', 'b')),
        fc.constantFrom('a', 'b', 'radio', 'antenna'),
        (ids, stem) => {
          const id = freshId(
            ids.map((one) => ({ id: one })),
            stem,
          );
          expect([...ids, 'radio', 'antenna']).not.toContain(id);
          expect(id.startsWith(stem)).toBe(true);
        },
      ),
    );
  });
});
