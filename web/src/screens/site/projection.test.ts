import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { barM, fromSouth, fromWest, moved, plan, projectionOf, snapped, zoomed } from './projection.js';

const metres = fc.double({ min: -500, max: 500, noNaN: true });
const place = fc.record({ xM: metres, yM: metres, zM: metres });
const pad = [40, 20, 60, 30] as const;

describe('a site drawn', () => {
  it('lies within its room, and comes back from where it is drawn', () => {
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 1, maxLength: 12 }),
        fc.constantFrom(plan, fromSouth, fromWest),
        fc.integer({ min: 200, max: 1200 }),
        (places, view, width) => {
          const drawn = projectionOf(view, places, [width, 300], pad);
          for (const one of places) {
            const [x, y] = [drawn.x(one), drawn.y(one)];
            expect(x).toBeGreaterThanOrEqual(pad[0] - 1e-6);
            expect(x).toBeLessThanOrEqual(width - pad[2] + 1e-6);
            expect(y).toBeGreaterThanOrEqual(pad[1] - 1e-6);
            expect(y).toBeLessThanOrEqual(300 - pad[3] + 1e-6);
            const [across, up] = drawn.back(x, y);
            expect(across).toBeCloseTo(view.across(one), 6);
            expect(up).toBeCloseTo(view.up(one), 6);
          }
        },
      ),
    );
  });

  it('has one scale in both directions, and up is up', () => {
    const places = [
      { xM: 0, yM: 0, zM: 0 },
      { xM: 10, yM: 2, zM: 8 },
    ];
    const { x, y, pxPerM } = projectionOf(fromSouth, places, [600, 300], pad);
    expect(x(places[1]) - x(places[0])).toBeCloseTo(10 * pxPerM);
    expect(y(places[0]) - y(places[1])).toBeCloseTo(8 * pxPerM);
  });

  it('a point that is dragged keeps the coordinate which the view does not show', () => {
    const point = { id: 'p', xM: 1, yM: 2, zM: 3 };
    expect(moved(plan, point, 7, 8)).toEqual({ id: 'p', xM: 7, yM: 8, zM: 3 });
    expect(moved(fromSouth, point, 7, 8)).toEqual({ id: 'p', xM: 7, yM: 2, zM: 8 });
    // From the west north is to the left.
    expect(moved(fromWest, point, 7, 8)).toEqual({ id: 'p', xM: 1, yM: -7, zM: 8 });
    expect([1.26, -0.04, 3].map(snapped)).toEqual([1.3, 0, 3]);
  });

  it('moved and enlarged, a place comes back from where it is drawn', () => {
    const near = zoomed(
      projectionOf(
        plan,
        [
          { xM: 0, yM: 0, zM: 0 },
          { xM: 9, yM: 4, zM: 0 },
        ],
        [400, 300],
        pad,
      ),
      {
        k: 3,
        x: -120,
        y: 40,
      },
    );
    const one = { xM: 2, yM: 3, zM: 0 };
    const [across, up] = near.back(near.x(one), near.y(one));
    expect(across).toBeCloseTo(2);
    expect(up).toBeCloseTo(3);
    expect(near.x({ ...one, xM: 3 }) - near.x(one)).toBeCloseTo(near.pxPerM);
  });

  it('the scale bar is 1, 2 or 5 of something, and never wider than its room', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 500, noNaN: true }), (pxPerM) => {
        const bar = barM(pxPerM, 120);
        expect(bar * pxPerM).toBeLessThanOrEqual(120 + 1e-9);
        expect(bar * pxPerM).toBeGreaterThan(40);
        expect([1, 2, 5]).toContain(Math.round(bar / 10 ** Math.floor(Math.log10(bar) + 1e-9)));
      }),
    );
  });
});
