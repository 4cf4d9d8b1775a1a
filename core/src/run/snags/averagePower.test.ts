import { describe, expect, it } from 'vitest';
import { applyChange } from '../design/change.js';
import { aRun, cable, leg, mends, snagsOf } from '../aRun.fixture.js';

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

  // Handbook of the trade, 8: ambient temperature derates power. Headroom of 85 °C PE falls from 45 K to 25 K at 20 K more.
  it('what just holds in the shade does not hold where it is 20 K hotter, nor beside that leg', () => {
    const shade = (hotterK: number, lengthM: number) =>
      aRun({
        service: { powerW: 350, duty: 1, ambientC: 40, lossBudgetDb: 9 },
        legs: [
          leg({ id: 'first', name: 'the tray', lengthM }),
          leg({ id: 'roof', name: 'the roof space', lengthM: 50, ...(hotterK ? { hotterK } : {}) }),
        ],
      });
    const over = (hotterK: number, lengthM: number): number =>
      snagsOf(shade(hotterK, lengthM), 'average-power').filter(({ at }) => at === 'main').length;
    const limits = [over(0, 1), over(20, 1), over(20, 50)];
    expect(limits).toEqual([0, 1, 0]);
    expect(snagsOf(shade(20, 1), 'average-power').find(({ at }) => at === 'main')?.why).toContain('60 °C');
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
