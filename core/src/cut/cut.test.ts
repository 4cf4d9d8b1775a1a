import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { compareSchools, cutSheet, electricalDegrees, physicalLengthM } from './index.js';

const part = (id: string) => entry(catalog.parts, id);
const rg213 = entry(catalog.cables, 'rg213');

describe('electrical length', () => {
  // First principles with c of the SI: quarter wave at 27.2 MHz, VF 0.695: 1.915 m. Shop constant, common practice: 1.82 m, about 6 ft.
  it('a quarter wave at 27.2 MHz by both schools', () => {
    const { exactM, shopM, differenceM, differenceDeg } = compareSchools(
      { frequencyHz: 27.2e6, degrees: 90 },
      0.695,
    );
    expect(exactM).toBeCloseTo(1.915, 3);
    expect(shopM).toBeCloseTo(1.82, 2);
    expect(differenceM).toBeCloseTo(exactM - shopM, 12);
    expect(differenceDeg).toBeCloseTo(90 * (1 - 468 / 491.786), 1);
  });

  it('length and degrees are inverse, and linear', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e6, max: 3e9, noNaN: true }),
        fc.double({ min: 1, max: 7200, noNaN: true }),
        fc.double({ min: 0.5, max: 1, noNaN: true }),
        (frequencyHz, degrees, vf) => {
          const length = physicalLengthM({ frequencyHz, degrees }, vf);
          expect(electricalDegrees(length, frequencyHz, vf)).toBeCloseTo(degrees, 6);
          expect(physicalLengthM({ frequencyHz, degrees: 2 * degrees }, vf)).toBeCloseTo(2 * length, 6);
        },
      ),
    );
  });
});

describe('what to cut', () => {
  const ends: [ReturnType<typeof part>, ReturnType<typeof part>] = [
    part('uhf-plug-crimp-10mm'),
    part('uhf-plug-crimp-10mm'),
  ];

  it('a matched run: length does not matter, and each UHF tip takes 6 mm more cable', () => {
    const sheet = cutSheet({ cable: rg213, ends, lengthM: 10, school: 'exact', frequencyHz: 30e6 });
    expect(sheet.why).toContain('does not matter');
    // Common practice, no source: the end is cut 1/4 in longer than the connector.
    expect((sheet.cut.value - 10) / 2).toBeCloseTo(0.00635, 3);
  });

  it('an electrical target: shorter by the connectors, first cut long by the uncertainty', () => {
    const target = { frequencyHz: 27.2e6, degrees: 90 };
    const sheet = cutSheet({ cable: rg213, ends, lengthM: 10, target, school: 'exact', frequencyHz: 27.2e6 });
    const exactM = physicalLengthM(target, rg213.velocityFactor);
    expect(sheet.finished.value).toBeLessThan(exactM);
    // Handbook: each face adds 10 to 25 mm of its own line.
    expect(sheet.electrical?.connectorsM).toBeGreaterThan(0.02);
    expect(sheet.electrical?.connectorsM).toBeLessThan(0.05);
    // Common practice, no source: later pieces of a lot are cut 25 to 50 mm long.
    expect(sheet.electrical?.longFirstM).toBeGreaterThanOrEqual(0.025);
    expect(sheet.cut.value).toBeGreaterThan(sheet.finished.value);
  });

  it('the shop’s school is the shorter one', () => {
    const target = { frequencyHz: 7e6, degrees: 180 };
    const by = (school: 'exact' | 'shop') =>
      cutSheet({ cable: rg213, ends, lengthM: 1, target, school, frequencyHz: 7e6 }).finished.value;
    expect(by('shop')).toBeLessThan(by('exact'));
  });
});
