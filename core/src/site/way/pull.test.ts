import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { reversedStretches, type Stretch } from './path.js';
import { pullAlong, pullLimit, weightNPerM } from './pull.js';

const straight = (fromM: number, lengthM: number, slope = 0): Stretch => ({
  kind: 'straight',
  fromM,
  lengthM,
  slope,
});
const bend = (atM: number, degrees = 90, radiusMm?: number): Stretch => ({
  kind: 'bend',
  atM,
  degrees,
  radiusMm,
});

const anyStretch = fc.oneof(
  fc
    .tuple(fc.double({ min: 0.1, max: 50, noNaN: true }), fc.double({ min: -1.5, max: 1.5, noNaN: true }))
    .map(([lengthM, slope]) => straight(0, lengthM, slope)),
  fc.double({ min: 1, max: 180, noNaN: true }).map((degrees) => bend(0, degrees, 300)),
);

describe('pulling a cable along a way', () => {
  // Worked by hand (capstan, any mechanics handbook): 20 m level at 2 N/m and μ 0.5 is 20 N; 90° makes it 20·e^(0.5·π/2) = 43.87 N; 10 m more
  // add 10 N: 53.87 N. On the 300 mm bend the wall is pressed with 43.87/0.3 = 146 N/m.
  it('a worked example', () => {
    const pull = pullAlong([straight(0, 20), bend(20, 90, 300), straight(20, 10)], 2, 0.5);
    expect(pull.end.value).toBeCloseTo(53.87, 1);
    expect(pull.sidewall?.nPerM).toBeCloseTo(146.2, 0);
    expect(pull.sidewall?.atM).toBe(20);
    expect(pull.halfAtM).toBe(20);
  });

  // A bend near the reel costs little, one near the hand much: why the end is chosen.
  it('is easier from the end which has the bend far from the hand', () => {
    const way = [straight(0, 2), bend(2), straight(2, 20)];
    const [there, back] = [way, reversedStretches(way, 22)].map((one) => pullAlong(one, 2, 0.5).end.value);
    expect(there).toBeLessThan(back);
  });

  // Straight up there is no wall to rub on: the weight of the cable alone.
  it('hauled straight up, it is its own weight', () =>
    expect(pullAlong([straight(0, 30, Math.PI / 2)], 1.5, 0.5).end.value).toBeCloseTo(45, 9));

  it('never falls along the way, and grows with every bend', () => {
    fc.assert(
      fc.property(fc.array(anyStretch, { minLength: 1, maxLength: 8 }), (stretches) => {
        const ends = stretches.map((_, k) => pullAlong(stretches.slice(0, k + 1), 2, 0.4, 5).end.value);
        for (const [k, end] of ends.entries()) if (k > 0) expect(end).toBeGreaterThanOrEqual(ends[k - 1]);
        const more = pullAlong([...stretches, bend(0, 30)], 2, 0.4, 5).end.value;
        expect(more).toBeGreaterThan(ends[ends.length - 1]);
      }),
    );
  });

  it('lubricated is never harder than dry', () => {
    fc.assert(
      fc.property(fc.array(anyStretch, { minLength: 1, maxLength: 8 }), (stretches) => {
        expect(pullAlong(stretches, 2, 0.35, 5).end.value).toBeLessThanOrEqual(
          pullAlong(stretches, 2, 0.5, 5).end.value + 1e-9,
        );
      }),
    );
  });

  // Handbook of the trade, from memory: RG-213 450 N; unknown, 50 N for each mm² of copper.
  it('the limit is the cable’s, and where it is not known it says so', () => {
    const rg213 = entry(catalog.cables, 'rg213');
    expect(pullLimit(rg213).value).toBe(450);
    const { pullN: _, ...unknown } = { ...rg213, centreMm: 2 };
    expect(pullLimit(unknown).value).toBeCloseTo(50 * Math.PI, 6);
    expect(pullLimit(unknown).source).toContain('not known');
  });

  // RG-213/U weighs 154 kg/km (cable data): 1.51 N/m.
  it('weight per metre', () => expect(weightNPerM(entry(catalog.cables, 'rg213'))).toBeCloseTo(1.51, 2));
});
