import { group } from 'd3';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawnPoints } from './drawnPoints.js';

const curve = fc.array(
  fc.oneof(
    { weight: 9, arbitrary: fc.double({ noNaN: true, noDefaultInfinity: true }) },
    { weight: 1, arbitrary: fc.constant(NaN) },
  ),
  {
    maxLength: 400,
  },
);
/** So many points to a column of the screen. */
const density = fc.double({ min: 0.2, max: 50, noNaN: true });

describe('the points of a curve which are drawn', () => {
  it('all of them while each has a column of its own', () =>
    expect(drawnPoints([3, 1, 2, NaN, 5], (k) => 2 * k)).toEqual([0, 1, 2, 3, 4]));

  // VLDB 2014, M4: four to a column draw the same pixels as all.
  it('are few, in order, and reach as high and as low in every column, however dense', () => {
    fc.assert(
      fc.property(curve, density, (values, perColumn) => {
        const columnOf = (k: number): number => k / perColumn;
        const drawn = drawnPoints(values, columnOf);
        const columns = group(values.keys(), (k) => Math.floor(columnOf(k)));
        const kept = group(drawn, (k) => Math.floor(columnOf(k)));
        expect(drawn).toEqual([...new Set(drawn)].toSorted((a, b) => a - b));
        for (const [column, all] of columns) {
          const those = kept.get(column) ?? [];
          expect(those.length).toBeLessThanOrEqual(5);
          expect([those[0], those.at(-1)]).toEqual([all[0], all.at(-1)]);
          const reach = (of: number[]) => {
            const finite = of.map((k) => values[k]).filter(Number.isFinite);
            return [Math.min(...finite), Math.max(...finite), of.some((k) => Number.isNaN(values[k]))];
          };
          expect(reach(those)).toEqual(reach(all));
        }
      }),
    );
  });

  it('a sweep of 10 001 points on 800 px is drawn by a third of them', () => {
    const values = Array.from({ length: 10_001 }, (_, k) => Math.sin(k / 3) + Math.cos(k / 71));
    expect(drawnPoints(values, (k) => (800 * k) / 10_001).length).toBeLessThan(3_300);
  });
});
