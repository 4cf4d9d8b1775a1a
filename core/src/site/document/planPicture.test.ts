import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkPicture, pictureToPlan, type KnownPlace, type PlanPicture } from './planPicture.js';

const picture = (places: [KnownPlace, KnownPlace]): PlanPicture => ({
  id: 'p',
  widthPx: 800,
  heightPx: 600,
  places,
});
const placed = (known: PlanPicture, u: number, v: number): [number, number] => {
  const { a, b, c, d, e, f } = pictureToPlan(known);
  return [a * u + c * v + e, b * u + d * v + f];
};
const near = ([x, y]: readonly [number, number], [u, v]: readonly [number, number]): void => {
  expect(x).toBeCloseTo(u, 6);
  expect(y).toBeCloseTo(v, 6);
};

describe('a picture under the plan', () => {
  // By hand: 100 px to the right are 10 m to the east; so a px is 0.1 m, and down the picture is south.
  it('north up: east is right, south is down', () => {
    const known = picture([
      { xPx: 100, yPx: 300, xM: 0, yM: 0 },
      { xPx: 200, yPx: 300, xM: 10, yM: 0 },
    ]);
    near(placed(known, 100, 400), [0, -10]);
    near(placed(known, 0, 300), [-10, 0]);
  });

  // By hand: right on the picture is north, so up is west.
  it('turned by a quarter', () => {
    const known = picture([
      { xPx: 0, yPx: 0, xM: 5, yM: 5 },
      { xPx: 100, yPx: 0, xM: 5, yM: 15 },
    ]);
    near(placed(known, 0, -100), [-5, 5]);
  });

  // Laws of a similarity: both places lie where they are known, and every length has one scale.
  it('puts both places where they are, and keeps all shapes', () => {
    const at = fc.record({
      xPx: fc.integer({ min: 0, max: 2000 }),
      yPx: fc.integer({ min: 0, max: 2000 }),
      xM: fc.double({ min: -200, max: 200, noNaN: true }),
      yM: fc.double({ min: -200, max: 200, noNaN: true }),
    });
    fc.assert(
      fc.property(at, at, (one, two) => {
        const known = picture([one, two]);
        fc.pre(checkPicture(known).length === 0);
        near(placed(known, one.xPx, one.yPx), [one.xM, one.yM]);
        near(placed(known, two.xPx, two.yPx), [two.xM, two.yM]);
        const [p, q, r] = [placed(known, 0, 0), placed(known, 300, 0), placed(known, 0, 300)];
        expect(Math.hypot(q[0] - p[0], q[1] - p[1])).toBeCloseTo(Math.hypot(r[0] - p[0], r[1] - p[1]), 6);
        // Not mirrored: from right to down is a turn clockwise.
        expect((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])).toBeLessThan(0);
      }),
    );
  });

  it('two places on each other scale nothing', () => {
    const one = { xPx: 100, yPx: 100, xM: 0, yM: 0 };
    expect(checkPicture(picture([one, { ...one, xM: 9 }]))[0].where).toBe('picture.places');
    expect(checkPicture(picture([one, { ...one, xPx: 400 }]))).toHaveLength(1);
  });
});
