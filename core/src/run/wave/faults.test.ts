import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PlacedElement } from '../../line/index.js';
import { withFaults, type LineFault } from './faults.js';

/** 10 m of 50 ohm cable between two joints without length. */
const line = (fromM: number, toM: number, z0Ohm = 50): PlacedElement => ({
  element: { kind: 'line', z0Ohm, velocityFactor: 0.66, lengthM: toM - fromM, k1: 0.1, k2: 0.01 },
  fromM,
  toM,
});
const joint = (atM: number): PlacedElement => ({
  element: { kind: 'series resistance', ohm: 0.01 },
  fromM: atM,
  toM: atM,
});
const run = [joint(0), line(0, 10), joint(10)];
const lengthOf = (all: readonly PlacedElement[]): number =>
  all.reduce((sum, { element }) => sum + (element.kind === 'line' ? element.lengthM : 0), 0);

describe('a line with something wrong on it', () => {
  it('a crush is a stretch of its own impedance at its place', () => {
    const spoilt = withFaults(run, [{ kind: 'crush', atM: 4, lengthM: 0.5, ohm: 30 }]);
    expect(spoilt.map(({ fromM, toM }) => [fromM, toM])).toEqual([
      [0, 0],
      [0, 4],
      [4, 4.5],
      [4.5, 10],
      [10, 10],
    ]);
    expect(spoilt[2].element).toMatchObject({ kind: 'line', z0Ohm: 30 });
  });

  it('a whisker and a bad contact have no length', () => {
    for (const [kind, element] of [
      ['short', 'shunt resistance'],
      ['bad contact', 'series resistance'],
    ] as const) {
      const [, , fault] = withFaults(run, [{ kind, atM: 3, ohm: 1 }]);
      expect(fault).toMatchObject({ element: { kind: element, ohm: 1 }, fromM: 3, toM: 3 });
    }
  });

  it('water adds dielectric loss between its ends, over joints too', () => {
    const two = [line(0, 5), joint(5), line(5, 10)];
    const wet = withFaults(two, [{ kind: 'wet', fromM: 4, toM: 6, addedK2: 0.1 }]);
    const soaked = wet.filter(({ element }) => element.kind === 'line' && element.k2 > 0.05);
    expect(soaked.map(({ fromM, toM }) => [fromM, toM])).toEqual([
      [4, 5],
      [5, 6],
    ]);
  });

  it('at the very ends of a cable, and beyond it: the line stays whole', () => {
    expect(withFaults(run, [{ kind: 'crush', atM: 9.9, lengthM: 0.5, ohm: 30 }])).toEqual(run);
    expect(withFaults(run, [{ kind: 'short', atM: 11, ohm: 1 }])).toEqual(run);
    expect(lengthOf(withFaults(run, [{ kind: 'bad contact', atM: 0, ohm: 1 }]))).toBeCloseTo(10, 12);
  });

  // A law: a fault changes what a cable is like, never how long it is or where things are.
  it('no fault changes the length, and the ruler stays without gaps', () => {
    const fault: fc.Arbitrary<LineFault> = fc.oneof(
      fc.record({
        kind: fc.constant('crush' as const),
        atM: fc.double({ min: 0, max: 11, noNaN: true }),
        lengthM: fc.double({ min: 0.01, max: 2, noNaN: true }),
        ohm: fc.constant(30),
      }),
      fc.record({
        kind: fc.constant('short' as const),
        atM: fc.double({ min: 0, max: 11, noNaN: true }),
        ohm: fc.constant(1),
      }),
      fc.record({
        kind: fc.constant('wet' as const),
        fromM: fc.double({ min: 0, max: 5, noNaN: true }),
        toM: fc.double({ min: 5, max: 11, noNaN: true }),
        addedK2: fc.constant(0.1),
      }),
    );
    fc.assert(
      fc.property(fc.array(fault, { maxLength: 6 }), (faults) => {
        const spoilt = withFaults(run, faults);
        expect(lengthOf(spoilt)).toBeCloseTo(10, 9);
        for (const [k, one] of spoilt.entries())
          if (k > 0) expect(one.fromM).toBeCloseTo(spoilt[k - 1].toM, 9);
      }),
    );
  });
});
