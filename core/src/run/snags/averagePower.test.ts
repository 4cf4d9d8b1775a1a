import { describe, expect, it } from 'vitest';
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
});
