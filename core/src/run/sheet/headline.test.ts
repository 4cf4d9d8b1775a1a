import { describe, expect, it } from 'vitest';
import { anOutdoorRun, aRun, cable, sheetOf } from '../aRun.fixture.js';

describe('the answer in a sentence', () => {
  it('power that arrives, with the loss and the budget behind it', () => {
    const { headline, reason, figures } = sheetOf(aRun());
    const watts = /^([\d.]+) W of 25 W reaches/.exec(headline)?.[1];
    // What the headline says is what the loss leaves: P·10^(−dB/10).
    expect(Number(watts)).toBeCloseTo(25 * 10 ** (-figures.loss.value / 10), 0);
    expect(reason).toContain(`SWR ${figures.swrAtRadio.value.toFixed(2)}`);
  });

  it('a joint which passes nothing comes first, and what would arrive is said as a wish', () => {
    const { headline, reason } = sheetOf(aRun({ pieces: [cable({ a: { part: 'uhf-plug-crimp-10mm' } })] }));
    expect(headline).toBe('Nothing reaches the antenna: J1 passes no signal');
    expect(reason).toMatch(/^Mended, [\d.]+ W of 25 W would arrive/);
  });

  it('of several such joints all are named', () => {
    const part = { part: 'uhf-plug-crimp-10mm' };
    expect(sheetOf(aRun({ pieces: [cable({ a: part, b: part })] })).headline).toContain(
      'J1, J2 pass no signal',
    );
  });

  it('a receive run is told by what is heard', () => {
    const { headline } = sheetOf(anOutdoorRun({ service: { powerW: 0 } }));
    expect(headline).toMatch(
      /^\d+ % of the signal reaches the receiver at 146 MHz; it costs [\d.]+ dB of signal-to-noise$/,
    );
  });

  it('says how many things stop it from being built', () => {
    const { reason } = sheetOf(aRun({ pieces: [cable({ lengthM: 9 })] }));
    expect(reason).toContain('1 thing stops it from being built as drawn.');
  });
});
