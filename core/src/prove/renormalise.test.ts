import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { cableLine, loaded, scattering, type LineElement } from '../line/index.js';
import { lossOneWay, magnitudes, renormalised, type Trace } from './index.js';

const f = Float64Array.from({ length: 101 }, (_, k) => 10e6 + k * 4e6);
const rg59 = entry(catalog.cables, 'rg59');
const run: LineElement[] = [cableLine(rg59, 12), { ...cableLine(rg59, 0.3), z0Ohm: 50 }];

describe('a trace against another reference', () => {
  it('a two-port swept with 50 ohm is what it would have been with 75', () => {
    const with50: Trace = { ports: 2, referenceOhm: 50, frequencyHz: f, s: scattering(run, f, 50) };
    const again = renormalised(with50, 75);
    const with75 = scattering(run, f, 75);
    for (const pair of ['s11', 's21', 's12', 's22'] as const) {
      for (let k = 0; k < f.length; k += 10) {
        expect(again.s[pair]?.re[k]).toBeCloseTo(with75[pair].re[k], 10);
        expect(again.s[pair]?.im[k]).toBeCloseTo(with75[pair].im[k], 10);
      }
    }
    expect(again.referenceOhm).toBe(75);
  });

  // Γ of 75 ohm against 50 is 0.2, against 75 nothing: definition of the reflection.
  it('a 75 ohm load, read as a mismatch with 50 ohm, is a match in its own run', () => {
    const flat = { re: new Float64Array(3).fill(0.2), im: new Float64Array(3) };
    const load: Trace = { ports: 1, referenceOhm: 50, frequencyHz: f.subarray(0, 3), s: { s11: flat } };
    for (const size of magnitudes(renormalised(load, 75).s.s11)) expect(size).toBeCloseTo(0, 12);
    expect(renormalised(load, 50)).toBe(load);
  });
});

describe('loss by reflection from an open end', () => {
  // A joint of 35 ohm makes a ripple on what comes back; over whole ripples it averages out.
  it('is the cable’s own, whatever the ripple of a near joint', () => {
    const cable = entry(catalog.cables, 'rg213');
    const elements: LineElement[] = [{ ...cableLine(cable, 0.05), z0Ohm: 20 }, cableLine(cable, 7)];
    const hz = Float64Array.from({ length: 401 }, (_, k) => 100e6 + k * 0.5e6);
    const s11 = loaded(scattering(elements, hz, 50), { re: 1, im: 0 });
    const delayS = 7.05 / (cable.velocityFactor * 299_792_458);
    const read = lossOneWay({ frequencyHz: hz, s: { s11 } }, 'open', delayS);
    const through = magnitudes(scattering([cableLine(cable, 7.05)], hz, 50).s21).map(
      (m) => -20 * Math.log10(m),
    );
    for (const k of [120, 160, 200, 240, 280]) expect(read?.[k]).toBeCloseTo(through[k], 1);
  });
});
