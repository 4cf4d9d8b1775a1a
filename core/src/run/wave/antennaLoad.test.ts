import { describe, expect, it } from 'vitest';
import { loadImpedance } from '../../line/index.js';
import { aRun } from '../aRun.fixture.js';
import { antennaLoad } from './antennaLoad.js';

const antenna = { name: 'A', face: 'n-jack', swr: 1.3, dcShort: true };

describe('what closes the run', () => {
  it('an SWR stands for the resistance above the run’s impedance', () => {
    const load = antennaLoad(aRun({ antenna: { ...antenna, swr: 2 } }), 50);
    expect(loadImpedance(load, Float64Array.of(145e6))).toMatchObject({ re: Float64Array.of(100) });
  });

  // Series resonance at 1/(2π√(LC)): 1 µH and 1.2 pF meet near 145 MHz (standard texts).
  it('a circuit is resistive at its resonance and inductive above', () => {
    const henry = 1e-6;
    const hz = 145e6;
    const farad = 1 / ((2 * Math.PI * hz) ** 2 * henry);
    const load = antennaLoad(aRun({ antenna: { ...antenna, series: { ohm: 36, henry, farad } } }), 50);
    const { re, im } = loadImpedance(load, Float64Array.of(hz, 1.05 * hz));
    expect(re[0]).toBeCloseTo(36, 6);
    expect(im[0]).toBeCloseTo(0, 6);
    expect(im[1]).toBeGreaterThan(0);
  });
});
