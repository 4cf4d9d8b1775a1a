import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { anOutdoorRun, sheetOf } from '../aRun.fixture.js';
import { rulerAt } from '../index.js';

describe('along the ruler at any frequency', () => {
  const design = anOutdoorRun();

  it('is what the sheet shows at its highest one', () => {
    const sheet = sheetOf(design);
    expect(rulerAt(design, catalog, sheet.topHz)).toEqual(sheet.ruler);
  });

  // Loss of a cable rises with frequency (k1 √f + k2 f).
  it('loses more at a higher frequency', () => {
    const last = (hz: number): number => rulerAt(design, catalog, hz).heatLossDb.at(-1) ?? 0;
    expect(last(450e6)).toBeGreaterThan(last(150e6));
    expect(last(150e6)).toBeGreaterThan(last(30e6));
  });

  // Net power is ½ Re(V I*), never more than half the product of the peaks.
  it('power, volts and amperes belong together', () => {
    const { netW, peakV, peakA } = rulerAt(design, catalog, 100e6);
    netW.forEach((watts, k) => expect(watts).toBeLessThanOrEqual((peakV[k] * peakA[k]) / 2 + 1e-9));
  });
});
