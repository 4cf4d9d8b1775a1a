import type { HeightProfile, Place3 } from '@kobran/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placeAt, pointedAt, rulerAt, shareNear } from './pointing.js';
import { plan, projectionOf } from './projection.js';

const at = (xM: number, yM: number, zM = 0): Place3 => ({ xM, yM, zM });
/** 3 m east, then 4 m north. */
const corner = [at(0, 0), at(3, 0), at(3, 4)];

describe('pointing at a way', () => {
  it('finds places by their share, by hand', () => {
    expect(placeAt(corner, 0)).toEqual(at(0, 0));
    expect(placeAt(corner, 3 / 7)).toEqual(at(3, 0));
    expect(placeAt(corner, 5 / 7)).toEqual(at(3, 2));
    expect(placeAt(corner, 1)).toEqual(at(3, 4));
    expect(placeAt([at(1, 1), at(1, 1)], 0.5)).toEqual(at(1, 1));
  });

  // A law: what is pointed at where a share is drawn is that share, as long as the path does not cross itself.
  it('comes back to the share it is drawn at', () => {
    const drawn = projectionOf(plan, corner, [400, 300], [20, 20, 20, 20]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) => {
        const place = placeAt(corner, share);
        expect(shareNear(corner, drawn, [drawn.x(place), drawn.y(place)])).toBeCloseTo(share, 6);
      }),
    );
  });

  it('ruler of a run and place on a way are one, drawn either way round; slack counts to its way', () => {
    const way = (id: string, fromM: number, cableToM: number, toM: number, reversed: boolean) => ({
      way: {
        id,
        name: id,
        kind: 'surface clipped' as const,
        from: 'p',
        to: 'q',
        via: [],
        conditions: [],
        bends: [],
        beside: [],
      },
      fromM,
      cableToM,
      toM,
      reversed,
    });
    // 4 m with a metre of slack, then 6 m which were drawn from their far end.
    const profile: HeightProfile = {
      line: [],
      bends: [],
      ways: [way('low', 0, 4, 5, false), way('up', 5, 11, 11, true)],
    };
    expect(rulerAt(profile, { way: 'low', share: 0.5 })).toBeCloseTo(2);
    // Up the mast it was drawn from its top: a quarter from the top is three quarters of the climb.
    expect(rulerAt(profile, { way: 'up', share: 0.25 })).toBeCloseTo(5 + 4.5);
    expect(pointedAt(profile, 9.5)).toEqual({ way: 'up', share: 0.25 });
    expect(pointedAt(profile, 4.6)).toEqual({ way: 'low', share: 1 });
    expect(pointedAt(profile, 99)).toBeUndefined();
  });
});
