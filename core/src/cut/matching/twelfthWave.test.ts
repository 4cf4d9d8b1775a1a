import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sweep, swrFromReflection, type LineElement } from '../../line/index.js';
import { oddQuartersThatReach, twelfthWaveDegrees } from './index.js';

const HZ = 100e6;
const section = (z0Ohm: number, degrees: number): LineElement => ({
  kind: 'line',
  z0Ohm,
  velocityFactor: 1,
  lengthM: (degrees / 360) * (299_792_458 / HZ),
  k1: 0,
  k2: 0,
});

describe('twelfth-wave match', () => {
  // Amateur handbooks: 29.3° for 50 and 75 ohm, near a twelfth of a wave.
  it('50 to 75 ohm takes two sections of 29.3°', () =>
    expect(twelfthWaveDegrees(50, 75)).toBeCloseTo(29.3, 1));

  // Held against the chain matrices of the sections.
  it('matches any two impedances, each section next to the other’s line', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 100, noNaN: true }),
        fc.double({ min: 30, max: 100, noNaN: true }),
        (z1, z2) => {
          const degrees = twelfthWaveDegrees(z1, z2);
          const { reflection } = sweep(
            [section(z2, degrees), section(z1, degrees)],
            { re: z2, im: 0 },
            Float64Array.of(HZ),
            z1,
          );
          expect(swrFromReflection(reflection[0])).toBeCloseTo(1, 6);
        },
      ),
    ));
});

describe('odd quarter waves that reach', () => {
  it.each([
    [1, 1.7, 1],
    [1.8, 1.7, 3],
    [5.1, 1.7, 3],
    [5.2, 1.7, 5],
    [0, 1.7, 1],
  ])('%d m with quarters of %d m: %d', (distance, quarter, quarters) =>
    expect(oddQuartersThatReach(distance, quarter)).toEqual({ quarters, lengthM: quarters * quarter }),
  );
});
