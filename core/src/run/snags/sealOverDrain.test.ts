import { describe, expect, it } from 'vitest';
import { anOutdoorRun, snagsOf } from '../aRun.fixture.js';

// Breathing parts stay open. Handbook of the trade, 6.
describe('sealOverDrain', () => {
  const withDrain = (drainMm: number | undefined) => {
    const design = anOutdoorRun();
    return { ...design, antenna: { ...design.antenna, ...(drainMm === undefined ? {} : { drainMm }) } };
  };

  it('cautions where the rubber, which runs out by a width of 38 mm, would cover the hole', () => {
    const [snag] = snagsOf(withDrain(20), 'seal-drain');
    expect(snag).toMatchObject({ level: 'caution', at: 'main>antenna' });
    expect(snag.why).toMatch(/reach \d+ mm .* at 20 mm/);
  });

  it('is silent where the hole is far, or there is none', () => {
    expect(snagsOf(withDrain(300), 'seal-drain')).toEqual([]);
    expect(snagsOf(withDrain(undefined), 'seal-drain')).toEqual([]);
  });
});
