import fc from 'fast-check';
import { expect, it } from 'vitest';
import { bestValue } from './bestValue.js';

const price = ([own]: readonly [number, number]): number => own;
const loss = ([, own]: readonly [number, number]): number => own;

it('is the least price which loses no more than the middle between the extremes', () => {
  expect(
    bestValue(
      [
        [5, 2.4],
        [7, 1.3],
        [10, 1.0],
        [28, 0.4],
      ] as const,
      price,
      loss,
    ),
  ).toEqual([7, 1.3]);
  expect(bestValue([], price, loss)).toBeUndefined();
});

it('nothing that loses as little costs less', () =>
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 1, max: 50 })), { minLength: 1 }),
      (rows) => {
        const best = bestValue(rows, price, loss);
        if (!best) throw new Error('none');
        expect(rows.filter((row) => loss(row) <= loss(best) && price(row) < price(best))).toEqual([]);
      },
    ),
  ));
