import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Limits: IEC 60169-12 (UHF to 300 MHz), interface standards’ peak voltages, all from memory.
describe('seriesFrequency', () => {
  const uhf = aRun({
    service: { bands: [{ name: 'link', lowHz: 452e6, highHz: 452e6 }], lossBudgetDb: 9 },
    antenna: { name: 'Yagi', face: 'uhf-jack', swr: 1.2, dcShort: true },
    pieces: [cable({ b: { part: 'uhf-plug-crimp-10mm' } })],
  });
  it('UHF at 452 MHz: a caution with its echo, mended with N', () => {
    const [snag] = snagsOf(uhf, 'series-frequency');
    expect(snag.level).toBe('caution');
    expect(snag.why).toMatch(/echo 1\d\.\d dB/);
    expect(mends(uhf, 'series-frequency', 0)).toBe(true);
  });
  it('is silent in the band of the series', () => expect(snagsOf(aRun(), 'series-frequency')).toEqual([]));
});
