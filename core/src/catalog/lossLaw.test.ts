import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, fitLossLaw } from './index.js';

const at = (mhz: number, dbPer100M: number) => ({ frequencyHz: mhz * 1e6, dbPer100M });

describe('a law from figures of a sheet', () => {
  it('gives back the law the figures came from', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 0.03, noNaN: true }),
        (k1, k2) => {
          const fitted = fitLossLaw(
            [10, 50, 150, 450, 900].map((mhz) => at(mhz, k1 * Math.sqrt(mhz) + k2 * mhz)),
          );
          expect(fitted?.k1).toBeCloseTo(k1, 6);
          expect(fitted?.k2).toBeCloseTo(k2, 6);
          expect(fitted?.residual).toBeLessThan(1e-6);
        },
      ),
    ));

  // RG-213/U of handbook tables, from memory: 2.0, 6.9, 15.7, 28.5 dB per 100 m at 10, 100, 400, 1000 MHz.
  it('fits the tables of RG-213 within their rounding, near the law of the catalogue', () => {
    const fitted = fitLossLaw([at(10, 2), at(100, 6.9), at(400, 15.7), at(1000, 28.5)]);
    expect(fitted?.residual).toBeLessThan(0.05);
    const own = catalog.cables.get('rg213');
    expect((fitted?.k1 ?? 0) / (own?.k1 ?? 1)).toBeCloseTo(1, 0.7);
  });

  it('says how badly it fits, and has no negative constant', () => {
    const fitted = fitLossLaw([at(10, 3), at(1000, 15)]);
    expect(fitted?.k2).toBe(0);
    expect(fitted?.residual).toBeGreaterThan(0.1);
  });

  it('one figure makes no law', () => {
    expect(fitLossLaw([at(100, 7)])).toBeUndefined();
    expect(fitLossLaw([at(100, 7), at(100, 7.1)])).toBeUndefined();
  });
});
