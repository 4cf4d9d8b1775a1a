import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aRun } from '../aRun.fixture.js';
import { receptionOf } from './reception.js';

const { service } = aRun();
const heard = (over: Partial<typeof service>, hz: number, lossDb: number) =>
  receptionOf({ ...service, powerW: 0, ...over }, hz, lossDb);

// Friis’s formula: noise figure of a chain; ITU-R P.372: external noise falls with frequency.
describe('what a receive run costs', () => {
  it('nothing without loss', () => expect(heard({}, 145e6, 0).costs.value).toBeCloseTo(0, 12));

  it('where no noise comes in from outside, a decibel of loss costs a decibel and more is never heard', () => {
    // At 1.3 GHz the sky is quiet: loss before a receiver of 0 dB noise figure raises noise by the loss at 290 K.
    const { costs } = heard({ noiseFigureDb: 3 }, 1.3e9, 3);
    expect(costs.value).toBeGreaterThan(2.9);
  });

  it('on short wave 3 dB of loss go nearly unheard (common practice, ITU-R P.372)', () =>
    expect(heard({ noiseFigureDb: 6 }, 7e6, 3).costs.value).toBeLessThan(0.3));

  it('an amplifier at the antenna hides the loss behind it', () => {
    const without = heard({}, 1.3e9, 6).costs.value;
    const { costs, amplified } = heard({ preamplifier: { noiseFigureDb: 1, gainDb: 20 } }, 1.3e9, 6);
    expect(amplified).toBe(true);
    expect(costs.value).toBeLessThan(without / 4);
  });

  // Where the sky is warmer than the cable; a cold sky makes a warm cable cost more than its loss.
  it('more loss never helps, and below 200 MHz never costs more than itself', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1e6, max: 200e6, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (hz, x, y) => {
          const [less, more] = [Math.min(x, y), Math.max(x, y)];
          expect(heard({}, hz, more).costs.value).toBeGreaterThanOrEqual(
            heard({}, hz, less).costs.value - 1e-9,
          );
          expect(heard({}, hz, more).costs.value).toBeLessThanOrEqual(more + 1e-9);
        },
      ),
    ));
});
