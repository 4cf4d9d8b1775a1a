import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { anOutdoorRun, sheetOf } from '../aRun.fixture.js';
import { along, loadImpedance } from '../../line/index.js';
import { rulerAt } from '../index.js';
import { antennaLoad } from './antennaLoad.js';
import { layOut } from './layout.js';

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

  // A standing wave ripples every half wave between (|V+| − |V−|)/Z0 and (|V+| + |V−|)/Z0 (Pozar): the dense solution fills that band.
  it('the band of the current is what the dense solution sweeps over', () => {
    const { re, im } = loadImpedance(antennaLoad(design, 50), Float64Array.of(450e6));
    const dense = along(layOut(design, catalog, []).elements, { re: re[0], im: im[0] }, 450e6, 25, 4000);
    const coarse = rulerAt(design, catalog, 450e6);
    const inCable = (m: number): boolean => m > 4 && m < 12;
    const band = [...coarse.distanceM.keys()].filter((k) => inCable(coarse.distanceM[k]));
    const [least, most] = [
      Math.min(...band.map((k) => coarse.lowA[k])),
      Math.max(...band.map((k) => coarse.highA[k])),
    ];
    const swept = [...dense.distanceM.keys()]
      .filter((k) => inCable(dense.distanceM[k]))
      .map((k) => dense.peakA[k]);
    expect(Math.min(...swept)).toBeGreaterThanOrEqual(0.995 * least);
    expect(Math.max(...swept)).toBeLessThanOrEqual(1.005 * most);
    expect(Math.max(...swept)).toBeGreaterThan(0.98 * most);
    expect(Math.min(...swept)).toBeLessThan(1.02 * least);
  });

  // Net power is ½ Re(V I*), never more than half the product of the peaks.
  it('power, volts and amperes belong together', () => {
    const { netW, peakV, peakA } = rulerAt(design, catalog, 100e6);
    netW.forEach((watts, k) => expect(watts).toBeLessThanOrEqual((peakV[k] * peakA[k]) / 2 + 1e-9));
  });
});
