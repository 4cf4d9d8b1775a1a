import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { connectorPasses, fillLimit, fillOf, jamRatio, layInDuct } from './duct.js';

describe('how full a duct may be', () => {
  // NEC chapter 9 table 1, from memory: 53, 31 and 40 %.
  it.each([
    [1, 0.53],
    [2, 0.31],
    [3, 0.4],
    [9, 0.4],
  ])('%d cables: %d', (cables, share) => expect(fillLimit(cables)).toBe(share));

  // NEC chapter 9 table 4, from memory: a trade size 1 conduit (EMT) is 26.6 mm inside, 557 mm² in all and 222 mm² at 40 %.
  it('the table’s own row: 40 % of 26.6 mm is 222 mm²', () => {
    const threeOf = Math.sqrt(222 / 3 / (Math.PI / 4));
    expect(fillOf(26.6, [threeOf, threeOf, threeOf])).toBeCloseTo(0.4, 2);
  });

  // Common practice, no source: 2.8 to 3.2.
  it('three equal cables jam in a bore of about three times their diameter, others do not', () => {
    expect(jamRatio(30, [10, 10, 10])).toBeCloseTo(3);
    expect(jamRatio(27, [10, 10, 10])).toBeUndefined();
    expect(jamRatio(40, [10, 10, 10])).toBeUndefined();
    expect(jamRatio(30, [10, 10])).toBeUndefined();
    expect(jamRatio(30, [10, 10, 5])).toBeUndefined();
  });
});

/** Smallest circle around 1 to 7 equal ones, in diameters of one (Kravitz, Packing cylinders into cylindrical containers, 1967). */
const OPTIMUM = [1, 2, 1 + 2 / Math.sqrt(3), 1 + Math.SQRT2, 2.7013, 3, 3];

describe('cables in a duct', () => {
  it.each(OPTIMUM.map((ratio, k) => [k + 1, ratio]))(
    '%d equal ones never go into less than the known optimum of %d, and into a little more than twice that',
    (count, ratio) => {
      const equal = Array.from({ length: count }, () => 10);
      expect(layInDuct(10 * ratio * 0.999, equal)).toBeUndefined();
      expect(layInDuct(10 * ratio * 1.25, equal)).toHaveLength(count);
    },
  );

  it('never overlap, never leave the duct, and lie at the bottom', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 2, max: 30, noNaN: true }), { minLength: 1, maxLength: 9 }),
        fc.double({ min: 30, max: 120, noNaN: true }),
        (diameters, bore) => {
          const laid = layInDuct(bore, diameters);
          if (!laid) return;
          for (const [k, one] of laid.entries()) {
            expect(one.diameterMm).toBe(diameters[k]);
            expect(Math.hypot(one.xMm, one.yMm) + one.diameterMm / 2).toBeLessThanOrEqual(bore / 2 + 1e-6);
            for (const other of laid.slice(k + 1))
              expect(Math.hypot(one.xMm - other.xMm, one.yMm - other.yMm)).toBeGreaterThanOrEqual(
                (one.diameterMm + other.diameterMm) / 2 - 1e-6,
              );
          }
          const lowest = Math.min(...laid.map(({ yMm, diameterMm }) => yMm - diameterMm / 2));
          expect(lowest).toBeCloseTo(-bore / 2, 6);
        },
      ),
    );
  });

  it('a connector passes an empty duct, and not one that is full', () => {
    expect(connectorPasses(40, [], 20)).toBe(true);
    expect(connectorPasses(40, [10], 20)).toBe(true);
    expect(connectorPasses(33, [10], 20)).toBe(true);
    expect(connectorPasses(33, [10, 10, 10, 10], 20)).toBe(false);
    expect(connectorPasses(20, [], 20)).toBe(false);
  });
});
