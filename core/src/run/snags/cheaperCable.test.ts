import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Friis’s formula with ITU-R P.372 noise: on HF thin cable is enough for receiving. Common practice says the same.
describe('cheaperCable', () => {
  const hf = aRun({ service: { powerW: 0, bands: [{ name: 'hf', lowHz: 5e6, highHz: 7e6 }] } });
  it('notes that thinner cable is enough, and takes it', () => {
    const [snag] = snagsOf(hf, 'cheaper-cable');
    expect(snag.level).toBe('note');
    expect(mends(hf, 'cheaper-cable', 0)).toBe(true);
  });
  it('is silent for a transmitter, and at UHF over a distance', () => {
    expect(snagsOf(aRun(), 'cheaper-cable')).toEqual([]);
    const uhf = { powerW: 0, bands: [{ name: 'uhf', lowHz: 1.2e9, highHz: 1.3e9 }] };
    expect(snagsOf(aRun({ service: uhf, pieces: [cable({ lengthM: 40 })] }), 'cheaper-cable')).toEqual([]);
  });
});
