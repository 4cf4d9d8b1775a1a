import { describe, expect, it } from 'vitest';
import { faceOf } from '../catalog/index.js';
import { jointEchoDb } from './index.js';

const pair = (series: string, hz: number) =>
  jointEchoDb(faceOf(`${series}-plug`), faceOf(`${series}-jack`), hz);

// Trade: good pairs of 50 ohm series send back 35 to 45 dB at 450 MHz. IEC 61169: SWR 1.3 (17.7 dB) is allowed at the top of a series.
describe('the echo of a joint', () => {
  it.each(['bnc', 'tnc', 'n', 'sma', '7-16'])('a good %s pair at 450 MHz', (series) => {
    expect(pair(series, 450e6)).toBeGreaterThan(33);
    expect(pair(series, 450e6)).toBeLessThan(46);
  });
  it('grows with frequency, to what the standard allows at the top', () => {
    expect(pair('bnc', 145e6)).toBeGreaterThan(pair('bnc', 450e6) + 8);
    expect(pair('bnc', 4e9)).toBeLessThan(18);
    expect(pair('bnc', 4e9)).toBeGreaterThan(10);
  });
  // A UHF pair is no 50 ohm line: its halves send back more than how it is made.
  it('is worse where the series is no line of its own', () =>
    expect(pair('uhf', 450e6)).toBeLessThan(pair('bnc', 450e6) - 8));
});
