import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { awgOf, awgOfMm2, wireMm, wireMm2 } from './index.js';

// ASTM B258: diameters and cross-sections of the table.
describe('American Wire Gauge', () => {
  it.each([
    [36, 0.127, 0.0127],
    [18, 1.024, 0.823],
    [10, 2.588, 5.26],
    [6, 4.115, 13.3],
    [-3, 11.684, 107.2],
  ])('AWG %d is %d mm, %d mm²', (awg, mm, mm2) => {
    expect(wireMm(awg)).toBeCloseTo(mm, 2);
    expect(Math.abs(wireMm2(awg) / mm2 - 1)).toBeLessThan(0.004);
  });

  it('both ways', () =>
    fc.assert(
      fc.property(fc.double({ min: -3, max: 40, noNaN: true }), (awg) => {
        expect(awgOf(wireMm(awg))).toBeCloseTo(awg, 9);
        expect(awgOfMm2(wireMm2(awg))).toBeCloseTo(awg, 9);
      }),
    ));
});
