import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxOf, overlap, placeLabels } from './labels.js';

const size = { width: 400, height: 300 };
const named = fc.record({
  x: fc.double({ min: 0, max: 400, noNaN: true }),
  y: fc.double({ min: 0, max: 300, noNaN: true }),
  textWidth: fc.integer({ min: 10, max: 160 }),
});

describe('names in a drawing', () => {
  it('never lie on each other, on another’s mark, or beyond the drawing', () => {
    fc.assert(
      fc.property(fc.array(named, { maxLength: 12 }), (all) => {
        const boxes = placeLabels(all, [], size).map((label, k) => label && boxOf(label, all[k].textWidth));
        for (const [k, box] of boxes.entries()) {
          if (!box) continue;
          expect(box.x).toBeGreaterThanOrEqual(0);
          expect(box.x + box.width).toBeLessThanOrEqual(size.width);
          for (const other of boxes.slice(k + 1)) if (other) expect(overlap(box, other)).toBe(false);
          for (const [n, { x, y }] of all.entries())
            if (n !== k) expect(overlap(box, { x: x - 9, y: y - 9, width: 18, height: 18 })).toBe(false);
        }
      }),
    );
  });

  it('one alone stands to the right, or to the left where a line leaves to the right', () => {
    const one = { x: 200, y: 150, textWidth: 60 };
    expect(placeLabels([one], [], size)[0]?.anchor).toBe('start');
    expect(placeLabels([one], [[200, 150, 400, 150]], size)[0]?.anchor).toBe('end');
    expect(placeLabels([{ ...one, x: 390 }], [], size)[0]?.anchor).toBe('end');
  });

  it('never lie on what is drawn there already', () => {
    const one = { x: 200, y: 150, textWidth: 60 };
    const taken = [{ x: 205, y: 100, width: 100, height: 100 }];
    expect(placeLabels([one], [], { ...size, taken })[0]?.anchor).toBe('end');
  });

  it('of two at one place both are named, of many at one place some go without', () => {
    const one = { x: 200, y: 150, textWidth: 60 };
    const placed = (count: number): number =>
      placeLabels(
        Array.from({ length: count }, () => one),
        [],
        size,
      ).filter(Boolean).length;
    expect(placed(2)).toBe(2);
    expect(placed(20)).toBeLessThan(20);
  });
});
