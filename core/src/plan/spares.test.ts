import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sparesFor } from './spares.js';

/** Of this many tries at least so many go well: the exact binomial, added up term by term. */
function atLeast(good: number, tries: number, failing: number): number {
  let sum = 0;
  for (let k = 0; k <= tries - good; k++) {
    let term = 1;
    for (let i = 0; i < k; i++) term *= ((tries - i) / (i + 1)) * failing;
    sum += term * (1 - failing) ** (tries - k);
  }
  return sum;
}

describe('spares', () => {
  // Handbook of the trade, 9: “11 for 10 gives 95 %” (binomial): so it is where about 3 % fail.
  it('eleven for ten', () => {
    expect(atLeast(10, 11, 0.03)).toBeGreaterThan(0.95);
    expect(sparesFor(10, { made: 97_000, failed: 3_000 })).toBe(1);
  });

  // Where the share of failures is known well it is the binomial.
  it('are those of the exact binomial where very many were counted', () => {
    for (const failing of [0.01, 0.05, 0.1, 0.3, 0.7])
      for (const ends of [1, 4, 10, 25]) {
        const spares = sparesFor(ends, { made: (1 - failing) * 1e7, failed: failing * 1e7 });
        expect(atLeast(ends, ends + spares, failing)).toBeGreaterThan(0.9499);
        if (spares > 0) expect(atLeast(ends, ends + spares - 1, failing)).toBeLessThan(0.9501);
      }
  });

  it('are none for nothing, and as many as a bad history asks for', () => {
    expect(sparesFor(0, { made: 0, failed: 99 })).toBe(0);
    // Of three ends nearly all fail: as many again would be enough with far less than 95 %.
    expect(sparesFor(3, { made: 0, failed: 999 })).toBeGreaterThan(100);
  });

  // Laws: more ends, more failures or less knowledge never ask for fewer spares.
  it('grow with the work and with what failed', () => {
    const count = fc.integer({ min: 0, max: 60 });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), count, count, (ends, made, failed) => {
        const now = sparesFor(ends, { made, failed });
        expect(sparesFor(ends + 1, { made, failed })).toBeGreaterThanOrEqual(now);
        expect(sparesFor(ends, { made, failed: failed + 1 })).toBeGreaterThanOrEqual(now);
        expect(sparesFor(ends, { made: made + 1, failed })).toBeLessThanOrEqual(now);
      }),
    );
  });
});
