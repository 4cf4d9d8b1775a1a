import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { cardExpectation, judge, unitDoubt } from './index.js';

const cable = entry(catalog.cables, 'rg58');
/** About 0.3 ohm: 5.5 m of RG-58 at 39 + 15 ohm/km (MIL-DTL-17 sheet, from memory). */
const loop = cardExpectation('loop', cable, 5.5);
const insulation = cardExpectation('insulation', cable, 5.5);

describe('a reading in the wrong unit is a question, not an acceptance', () => {
  it('0.3 kohm for a cable of 0.3 ohm', () => {
    expect(loop.expected.value).toBeCloseTo(0.3, 1);
    expect(unitDoubt(loop, 300)).toMatchObject({ meant: 0.3 });
    expect(unitDoubt(loop, 300)?.question).toContain('did you mean 0.3 Ω');
  });

  // 20 kohm is a leak, not a slip for 20 Gohm: two prefixes are no slip.
  it.each([20e3, 90e3, 2e6])('%d ohm of insulation is a leak and not asked about', (typed) =>
    expect(unitDoubt(insulation, typed)).toBeUndefined(),
  );

  // Handbook of the trade: only when the reading is off by a factor of 300 or more and another unit explains it.
  it('what is only a little off is wrong, not mistyped', () => {
    for (const ohm of [0.7, 3, 40, 140]) expect(unitDoubt(loop, ohm)).toBeUndefined();
    expect(unitDoubt(loop, 200)?.meant).toBeCloseTo(0.2, 9);
  });

  it('200 where megohms are expected', () => expect(unitDoubt(insulation, 200)?.meant).toBe(200e6));

  it.each([0.3, 0.31, 0, 3, Infinity])('%d ohm is taken as it is', (typed) =>
    expect(unitDoubt(loop, typed)).toBeUndefined(),
  );

  it('asks only where the reading fails and what was meant would pass', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-6, max: 1e9, noNaN: true }), (ohm) => {
        const doubt = unitDoubt(loop, ohm);
        if (!doubt) return;
        expect(judge(loop, ohm).verdict).not.toBe('pass');
        expect(judge(loop, doubt.meant).verdict).toBe('pass');
      }),
    );
  });
});
