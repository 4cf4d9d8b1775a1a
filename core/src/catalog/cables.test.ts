import { describe, expect, it } from 'vitest';
import { attenuationDbPer100M } from '../line/index.js';
import { braidMm, catalog, entry, impedanceFromDiameters } from './index.js';

/** dB per 100 m by frequency in MHz: tables of handbooks and data sheets of each class, from memory; ±10 %. */
const tables: [id: string, points: [mhz: number, db: number][]][] = [
  [
    'rg58',
    [
      [10, 4.6],
      [100, 16.1],
      [400, 39],
      [1000, 71],
    ],
  ],
  [
    'rg8x',
    [
      [10, 3.1],
      [100, 11.2],
      [400, 25],
    ],
  ],
  [
    'rg213',
    [
      [10, 2.0],
      [100, 6.9],
      [400, 15.7],
      [1000, 28.5],
    ],
  ],
  [
    'rg214',
    [
      [10, 2.0],
      [100, 6.9],
      [400, 15.6],
    ],
  ],
  [
    'rg174',
    [
      [10, 8.8],
      [100, 28.9],
      [400, 62],
    ],
  ],
  [
    'rg316',
    [
      [100, 27.2],
      [400, 56],
    ],
  ],
  [
    'rg142',
    [
      [100, 14.3],
      [400, 31.5],
    ],
  ],
  [
    'rg223',
    [
      [100, 15.6],
      [400, 35],
    ],
  ],
  [
    'rg59',
    [
      [10, 3.6],
      [100, 11.4],
      [400, 24],
    ],
  ],
  [
    'rg6',
    [
      [100, 6.6],
      [400, 13.4],
      [900, 20.7],
    ],
  ],
  [
    'rg11',
    [
      [10, 1.9],
      [100, 6.6],
      [400, 14.5],
    ],
  ],
  [
    'c195',
    [
      [150, 14.5],
      [450, 25.5],
      [900, 36.5],
    ],
  ],
  [
    'c240',
    [
      [150, 9.9],
      [450, 17.3],
      [900, 24.8],
    ],
  ],
  [
    'c400',
    [
      [150, 4.9],
      [450, 8.9],
      [900, 12.8],
    ],
  ],
  [
    'c400f',
    [
      [150, 6.0],
      [450, 10.6],
      [900, 15.3],
    ],
  ],
  [
    'c600',
    [
      [150, 3.15],
      [450, 5.6],
      [900, 8.2],
    ],
  ],
  [
    'h12',
    [
      [100, 2.15],
      [900, 6.8],
    ],
  ],
];

describe('loss of the cables against the tables of the trade', () => {
  it.each(
    tables.flatMap(([id, points]) => points.map(([mhz, db]): [string, number, number] => [id, mhz, db])),
  )('%s at %d MHz: %d dB per 100 m', (id, mhz, db) => {
    const own = attenuationDbPer100M(entry(catalog.cables, id), mhz * 1e6);
    expect(Math.abs(own - db) / db).toBeLessThan(0.1);
  });

  it('every cable has a table', () =>
    expect(new Set(tables.map(([id]) => id))).toEqual(new Set(catalog.cables.keys())));
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
      ).toBeLessThan(0.08);
    }
  });

  it('lower loss costs diameter: within a family the thicker loses less', () => {
    const db = (id: string): number => attenuationDbPer100M(entry(catalog.cables, id), 450e6);
    const family = ['c195', 'c240', 'c400', 'c600'].map(db);
    expect(family).toEqual(family.toSorted((a, b) => b - a));
  });
});
