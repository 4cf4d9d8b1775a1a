import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pieceTargets } from './pieceTargets.js';
import { rulerScale } from './scale.js';

// WCAG 2.2, 2.5.8 target size (minimum).
describe('places to press', () => {
  it('are at least 24 px wide and never overlap, whatever the pieces', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.02, max: 40, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (lengths) => {
          let at = 0;
          const pieces = lengths.map((length) => ({ fromM: at, toM: (at += length) }));
          const targets = pieceTargets(pieces, rulerScale(at, 800));
          targets.forEach(({ left, width }, k) => {
            expect(width).toBeGreaterThanOrEqual(24 - 1e-9);
            if (k > 0) expect(left).toBeGreaterThanOrEqual(targets[k - 1].left + targets[k - 1].width - 1e-9);
          });
        },
      ),
    );
  });

  it('a long piece keeps its place but for its short neighbour', () => {
    const scale = rulerScale(20.06, 828);
    const [first, small, last] = pieceTargets(
      [
        { fromM: 0, toM: 10 },
        { fromM: 10, toM: 10.06 },
        { fromM: 10.06, toM: 20.06 },
      ],
      scale,
    );
    expect(first.left).toBeCloseTo(scale(0), 6);
    expect(small.width).toBe(24);
    expect(last.left).toBeCloseTo(small.left + 24, 6);
  });
});
