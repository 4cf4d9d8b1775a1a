import { describe, expect, it } from 'vitest';
import { atCelsius, attenuationDbPer100M } from '../line/index.js';
import { braidMm, catalog, entry, impedanceFromDiameters } from './index.js';

/** dB per 100 m by frequency in MHz: tables of handbooks and data sheets of each class, from memory; ±11 %. */
// prettier-ignore
const tables: Record<string, [mhz: number, db: number][]> = {
  rg58: [[10, 4.6], [100, 16.1], [400, 39], [1000, 71]],
  rg8x: [[10, 3.1], [100, 11.2], [400, 25]],
  rg213: [[10, 2], [100, 6.9], [400, 15.7], [1000, 28.5]],
  rg214: [[10, 2], [100, 6.9], [400, 15.6]],
  rg174: [[100, 28.9], [400, 62]],
  rg316: [[100, 27.2], [400, 56]],
  rg142: [[100, 14.3], [400, 28]],
  rg223: [[100, 15.6], [400, 32]],
  rg59: [[10, 3.6], [100, 11.4], [400, 24]],
  rg6: [[100, 6.6], [400, 13.4], [900, 20.7]],
  rg11: [[10, 1.9], [100, 6.6], [400, 14.5]],
  c195: [[150, 14.5], [450, 25.5], [900, 36.5]],
  c240: [[150, 9.9], [450, 17.3], [900, 24.8]],
  c400: [[150, 4.9], [450, 8.9], [900, 12.8]],
  c400f: [[150, 6], [450, 10.6], [900, 15.3]],
  c600: [[150, 3.15], [450, 5.6], [900, 8.2]],
  h12: [[100, 2.15], [900, 6.8]],
  f7: [[144, 7.9], [432, 14.1]],
  f13: [[144, 3.5], [432, 6.2]],
  m6: [[100, 11.2], [400, 25]],
  m10: [[100, 6.9], [400, 15.7]],
  rg400: [[100, 14], [400, 30]],
  rg179: [[100, 34], [400, 50]],
  rg6q: [[100, 6.6], [400, 13.4], [900, 20.7]],
  sf12: [[100, 3.4], [900, 11.2]],
  h78: [[100, 1.2], [900, 3.9]],
};

describe('loss of the cables against the tables of the trade', () => {
  it.each(
    Object.entries(tables).flatMap(([id, points]) =>
      points.map(([mhz, db]): [string, number, number] => [id, mhz, db]),
    ),
  )('%s at %d MHz: %d dB per 100 m', (id, mhz, db) => {
    const own = attenuationDbPer100M(entry(catalog.cables, id), mhz * 1e6);
    expect(Math.abs(own - db) / db).toBeLessThan(0.11);
  });

  it('every cable has a table', () =>
    expect(new Set(Object.keys(tables))).toEqual(new Set(catalog.cables.keys())));
});

describe('what the trade says of the cables', () => {
  // MIL-DTL-17 sheets, from memory: impedance, capacitance, velocity of propagation.
  it.each([
    ['rg58', 50, 101, 0.66],
    ['rg213', 50, 101, 0.66],
    ['rg174', 50, 101, 0.66],
    ['rg316', 50, 96, 0.695],
    ['rg142', 50, 96, 0.695],
    ['rg59', 75, 67.4, 0.66],
    ['rg11', 75, 67.4, 0.66],
  ])('%s: %d ohm, %d pF per m, %d of the speed of light', (id, ohm, pf, vf) => {
    const cable = entry(catalog.cables, id);
    expect(cable.impedanceOhm).toBe(ohm);
    expect(Math.abs(cable.capacitancePfPerM - pf)).toBeLessThan(1);
    expect(cable.velocityFactor).toBe(vf);
  });

  // Trade facts, no source: which thin, thick, stranded, solid, buried, hot.
  it('solid and stranded centres, burial and heat are as the trade knows them', () => {
    const of = (id: string) => entry(catalog.cables, id);
    expect(['rg58', 'rg8x', 'rg213', 'rg174', 'c400f'].every((id) => of(id).centreKind === 'stranded')).toBe(
      true,
    );
    expect(
      ['rg142', 'rg223', 'rg6', 'c400', 'c600', 'h12'].every((id) => of(id).centreKind === 'solid'),
    ).toBe(true);
    expect(of('rg142').maxJacketC).toBeGreaterThan(150);
    expect(of('rg213').directBurial).toBe('no');
    expect(of('h12').directBurial).toBe('yes');
  });

  it('the shield lies between dielectric and jacket, and diameters make about the impedance', () => {
    for (const cable of catalog.cables.values()) {
      expect(braidMm(cable), cable.id).toBeGreaterThan(cable.dielectricMm);
      expect(braidMm(cable), cable.id).toBeLessThan(cable.jacketMm + 1e-9);
      expect(
        Math.abs(impedanceFromDiameters(cable) - cable.impedanceOhm) / cable.impedanceOhm,
        cable.id,
        // The diameters of a helix are those of its roots; the field reaches into its crests.
      ).toBeLessThan(cable.shield.startsWith('helically') ? 0.15 : 0.08);
    }
  });

  // Copper-clad steel below its law, from memory: the current reaches the steel and the loss falls less than √f.
  it.each([
    ['rg174', 1, 6.2],
    ['rg174', 10, 10.8],
    ['rg6', 10, 2.5],
  ])('%s at %d MHz loses about %d dB per 100 m, more than its law says', (id, mhz, db) => {
    const cable = entry(catalog.cables, id);
    const law = cable.k1 * Math.sqrt(mhz) + cable.k2 * mhz;
    const own = attenuationDbPer100M(cable, mhz * 1e6);
    expect(own).toBeGreaterThan(law * 1.15);
    expect(Math.abs(own - db) / db).toBeLessThan(0.08);
  });

  // Resistance of copper rises by 0.39 % per kelvin, the loss of conductors by half of it (skin effect: √ of the resistivity).
  it('ten kelvin more cost two per cent more', () => {
    const cable = entry(catalog.cables, 'rg213');
    const [cool, warm] = [20, 30].map((celsius) => attenuationDbPer100M(atCelsius(cable, celsius), 50e6));
    expect(warm / cool).toBeCloseTo(1.02, 6);
  });

  // √(2·P·Z0) of the peak powers a handbook gives its classes: 16 kW for 10 mm, 40 kW for 15 mm. From memory.
  it.each([
    ['c400', 16e3],
    ['c600', 40e3],
    ['c195', 2.5e3],
  ])('%s: the peak voltage at radio frequency is that of %d W', (id, watts) => {
    const { peakRfV, impedanceOhm } = entry(catalog.cables, id);
    expect(Math.abs(peakRfV / Math.sqrt(2 * watts * impedanceOhm) - 1)).toBeLessThan(0.02);
  });

  // The rms figure of a military sheet times √2.
  it('where a sheet gives an rms voltage, the peak is √2 of it', () => {
    for (const { id, maxVoltageRms, peakRfV } of catalog.cables.values())
      if (maxVoltageRms !== undefined)
        expect(Math.abs(peakRfV / maxVoltageRms - Math.SQRT2), id).toBeLessThan(0.02);
  });

  // A trade fact: what pulls break is the copper; 50 N per mm² is the rule where no sheet gives a figure. Common practice, no source.
  it('heavier cable is pulled harder, and nothing is called by a product line', () => {
    const pull = (id: string): number => entry(catalog.cables, id).pullN ?? 0;
    expect(pull('rg58')).toBeLessThan(pull('rg213'));
    expect(pull('c400')).toBeLessThan(pull('c600'));
    for (const { name } of catalog.cables.values()) expect(name).not.toMatch(/class/);
  });

  it('lower loss costs diameter: within a family the thicker loses less', () => {
    const db = (id: string): number => attenuationDbPer100M(entry(catalog.cables, id), 450e6);
    const family = ['c195', 'c240', 'c400', 'c600'].map(db);
    expect(family).toEqual(family.toSorted((a, b) => b - a));
  });
});
