import { describe, expect, it } from 'vitest';
import { aRun, sheetOf } from '../aRun.fixture.js';
import { looksOf } from './looks.js';

const antenna = { name: 'A', face: 'n-jack', swr: 1.3, dcShort: true };
const bands = [
  { name: '80 m', lowHz: 3.5e6, highHz: 3.8e6 },
  { name: '40 m', lowHz: 7e6, highHz: 7.2e6 },
];

describe('where a run is looked at', () => {
  it('at the edges of every band, not only the outermost', () =>
    expect(looksOf(aRun({ service: { bands }, antenna }), 50)).toEqual(
      [3.5e6, 3.8e6, 7e6, 7.2e6].map((hz) => ({ hz, swr: 1.3 })),
    ));

  // |Γ| of 50 + jX against 50 is X / √(4·50² + X²) (standard texts); X is largest at the top of the band.
  it('a coil in the antenna is worst at the top', () => {
    const looks = looksOf(aRun({ antenna: { ...antenna, series: { ohm: 50, henry: 1e-7, farad: 0 } } }), 50);
    const x = 2 * Math.PI * 146e6 * 1e-7;
    const size = x / Math.hypot(100, x);
    expect(looks.at(-1)?.swr).toBeCloseTo((1 + size) / (1 - size), 6);
    expect(Math.max(...looks.map(({ swr }) => swr))).toBe(looks.at(-1)?.swr);
  });

  // A dip of the antenna between the edges: measured, 50 ohm but for a spot that reflects everything.
  it('an antenna which is worst in the middle of a band is looked at there, without a cap on its SWR', () => {
    const frequencyHz = [3.5e6, 3.65e6, 3.8e6];
    const measured = { referenceOhm: 50, frequencyHz, re: [0, 1, 0], im: [0, 0, 0] };
    const design = aRun({ service: { bands: [bands[0]] }, antenna: { ...antenna, measured } });
    const worst = looksOf(design, 50).reduce((most, one) => (one.swr > most.swr ? one : most));
    expect(worst.hz).toBeCloseTo(3.65e6, -4);
    expect(worst.swr).toBeGreaterThan(100);
    // √(2·25·50·SWR) of 10 000 and more: no standard tube.
    expect(sheetOf(design).tube?.tubeV).toBeUndefined();
  });

  it('the voltage of the lower band counts too', () => {
    // 600 pF in series: 76 ohm of reactance at 3.5 MHz, 37 at 7.2 MHz; the standing wave is on the lower band.
    const series = { ohm: 50, henry: 0, farad: 600e-12 };
    const peak = (only: typeof bands): number =>
      sheetOf(aRun({ service: { bands: only, powerW: 400 }, antenna: { ...antenna, series } })).figures
        .peakVoltage.value;
    expect(peak(bands)).toBeCloseTo(peak([bands[0]]), 6);
    expect(peak(bands)).toBeGreaterThan(peak([bands[1]]) * 1.05);
  });
});
