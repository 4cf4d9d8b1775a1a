import { describe, expect, it } from 'vitest';
import { applyChange } from '../design/change.js';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Heat balance, ±30 % of handbook tables from memory: RG-58 bears well under 200 W at 145 MHz.
describe('averagePower', () => {
  it('RG-58 does not carry 300 W of continuous carrier at 145 MHz; a thicker cable does', () => {
    const hot = aRun({
      service: { powerW: 300, duty: 1, lossBudgetDb: 9 },
      pieces: [cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
    });
    expect(snagsOf(hot, 'average-power')[0].level).toBe('stop');
    expect(mends(hot, 'average-power', 0)).toBe(true);
  });

  // Average power of a connector falls as 1/√f (common practice, no source): SMA is for tens of watts at UHF.
  it('200 W of carrier through SMA at 1.3 GHz stops, and less power mends it', () => {
    const hot = aRun({
      service: {
        bands: [{ name: '23 cm', lowHz: 1.29e9, highHz: 1.3e9 }],
        powerW: 200,
        duty: 1,
        lossBudgetDb: 20,
      },
      radio: { name: 'Amplifier', face: 'sma-jack', handheld: false },
      pieces: [cable({ cable: 'rg142', a: { part: 'sma-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
    });
    const snag = snagsOf(hot, 'average-power').find(({ at }) => at === 'radio>main');
    expect(snag?.what).toBe('SMA jack runs hot');
    const [less] = snag?.remedies ?? [];
    const mended = less.changes.reduce(applyChange, hot);
    expect(snagsOf(mended, 'average-power').some(({ at }) => at === 'radio>main')).toBe(false);
    expect(mended.service.powerW).toBeGreaterThan(20);
  });
});
