import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

describe('peakVoltage', () => {
  const hot = aRun({
    service: {
      bands: [{ name: 'hf', lowHz: 7e6, highHz: 7.2e6 }],
      powerW: 3000,
      lossBudgetDb: 6,
      duty: 0.01,
    },
    antenna: { name: 'Dipole', face: 'bnc-jack', swr: 3, dcShort: false },
    pieces: [
      cable({ b: { part: 'n-plug-crimp-10mm' } }),
      { kind: 'adapter', id: 'adapter', adapter: 'n-jack-to-bnc-plug', reversed: false },
    ],
  });
  it('stops where the standing wave exceeds the series, and less power mends it', () => {
    const snag = snagsOf(hot, 'peak-voltage').find(({ at }) => at === 'adapter>antenna');
    expect(snag?.level).toBe('stop');
    expect(mends(hot, 'peak-voltage', 0)).toBe(true);
  });
  it('is silent at 25 W', () => expect(snagsOf(aRun(), 'peak-voltage')).toEqual([]));
});
