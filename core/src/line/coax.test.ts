import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import {
  attenuationDbPer100M,
  coaxLine,
  lossFromDimensions,
  outerForImpedance,
  permittivityOf,
  skinDepthM,
  te11CutoffHz,
} from './index.js';

describe('a coaxial line by its dimensions', () => {
  // Air line of the 7/16 interface: 7 mm in 16 mm, 49.6 ohm (IEC 61169-4, from memory; Pozar).
  it('7 mm in 16 mm of air is 49.6 ohm', () => {
    const { impedanceOhm, velocityFactor, faradPerM, henryPerM } = coaxLine({
      centreMm: 7,
      outerMm: 16,
      permittivity: 1,
    });
    expect(impedanceOhm).toBeCloseTo(49.57, 1);
    expect(velocityFactor).toBe(1);
    // √(L/C) is the impedance, 1/√(LC) the speed (Pozar).
    expect(Math.sqrt(henryPerM / faradPerM)).toBeCloseTo(impedanceOhm, 9);
    expect(1 / Math.sqrt(henryPerM * faradPerM)).toBeCloseTo(299_792_458, 0);
  });

  it('and back from the impedance', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 10, noNaN: true }),
        fc.double({ min: 20, max: 120, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (centreMm, ohm, permittivity) => {
          const outerMm = outerForImpedance(ohm, centreMm, permittivity);
          expect(coaxLine({ centreMm, outerMm, permittivity }).impedanceOhm).toBeCloseTo(ohm, 9);
        },
      ),
    ));

  // Solid polyethylene has a permittivity of 2.26 to 2.30 (handbooks of materials, from memory); PTFE 2.07.
  it('velocity factors are those of the dielectrics', () => {
    expect(permittivityOf(0.66)).toBeCloseTo(2.3, 1);
    expect(permittivityOf(0.695)).toBeCloseTo(2.07, 2);
  });

  // 3.5 mm air line: 34.6 GHz by this formula (1.52 mm in 3.5 mm; published use to 26.5 to 34 GHz, from memory).
  it('TE11 begins where the trade stops using the interface', () =>
    expect(te11CutoffHz({ centreMm: 1.52, outerMm: 3.5, permittivity: 1 }) / 1e9).toBeCloseTo(38, 0));

  // Copper: 66 µm at 1 MHz, 2.1 µm at 1 GHz (standard tables of the skin effect).
  it.each([
    [1e6, 66e-6],
    [1e9, 2.09e-6],
  ])('skin depth of copper at %d Hz', (hz, metres) => expect(skinDepthM(hz) / metres).toBeCloseTo(1, 2));

  it('a real cable of these diameters loses more than smooth copper, and not twice as much', () => {
    for (const id of ['rg213', 'c400', 'h12']) {
      const cable = entry(catalog.cables, id);
      const dimensions = {
        centreMm: cable.centreMm,
        outerMm: cable.dielectricMm,
        permittivity: permittivityOf(cable.velocityFactor),
      };
      const ratio = attenuationDbPer100M(cable, 100e6) / lossFromDimensions(dimensions, 100e6);
      expect(ratio, id).toBeGreaterThan(1);
      expect(ratio, id).toBeLessThan(2);
    }
  });
});
