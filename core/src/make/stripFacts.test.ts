import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { fitCable } from '../fit/index.js';
import { stripGauge } from './index.js';

const gauge = (part: string, cable: string) =>
  stripGauge(entry(catalog.parts, part), entry(catalog.cables, cable));
const of = (part: string, cable: string, layer: string): number =>
  gauge(part, cable).stretches.find((stretch) => stretch.layer === layer)?.lengthMm ?? 0;

// Common practice, no source, for every figure of this block.
describe('strip lengths of every family, as the trade knows them', () => {
  it('screw-on UHF: jacket 30 mm, 5 to 10 mm of dielectric, braid folded back', () => {
    expect(gauge('uhf-plug-screw-on-10mm', 'rg213').jacketCutMm).toBe(30);
    expect(of('uhf-plug-screw-on-10mm', 'rg213', 'dielectric')).toBeGreaterThanOrEqual(5);
    expect(of('uhf-plug-screw-on-10mm', 'rg213', 'dielectric')).toBeLessThanOrEqual(10);
    expect(of('uhf-plug-screw-on-10mm', 'rg213', 'braid')).toBe(0);
    expect(entry(catalog.parts, 'uhf-plug-screw-on-10mm').foldBackMm).toBeGreaterThan(0);
  });

  it('washers UHF: jacket 38 mm (1 1/2 in), braid and dielectric 25 mm (1 in) from the end', () => {
    const { jacketCutMm } = gauge('uhf-plug-washers-5mm', 'rg58');
    expect(Math.abs(jacketCutMm - 38.1)).toBeLessThanOrEqual(0.5);
    expect(Math.abs(of('uhf-plug-washers-5mm', 'rg58', 'centre') - 25.4)).toBeLessThanOrEqual(0.5);
    expect(Math.abs(of('uhf-plug-washers-5mm', 'rg58', 'braid') - 12.7)).toBeLessThanOrEqual(0.5);
  });

  it('solder-through-holes UHF: jacket about 29 mm, braid about 16 mm, dielectric about 1.6 mm beyond it', () => {
    expect(Math.abs(gauge('uhf-plug-solder-10mm', 'rg213').jacketCutMm - 28.6)).toBeLessThanOrEqual(0.5);
    expect(of('uhf-plug-solder-10mm', 'rg213', 'braid')).toBeCloseTo(16, 0);
    expect(of('uhf-plug-solder-10mm', 'rg213', 'dielectric')).toBeCloseTo(1.6, 1);
  });

  it.each([
    ['n-plug-gland-10mm', 'rg213'],
    ['n-plug-gland-6mm', 'rg8x'],
    ['n-plug-gland-5mm', 'rg58'],
  ])('gland N: about 20 mm of jacket, %s on %s', (part, cable) =>
    expect(Math.abs(gauge(part, cable).jacketCutMm - 20)).toBeLessThanOrEqual(1),
  );

  it.each(['bnc-plug-side-entry-25mm', 'bnc-plug-right-angle-25mm', 'bnc-plug-crimp-25mm'])(
    'BNC on 2.5 mm cable: centre about 6 mm, braid about 6 mm, %s',
    (part) => {
      expect(of(part, 'rg316', 'centre')).toBeCloseTo(6, 0);
      expect(of(part, 'rg316', 'braid')).toBeCloseTo(6, 0);
    },
  );

  it('F compression: 6 mm centre, 6 mm dielectric; the conductor protrudes 2 to 5 mm', () => {
    expect(of('f-plug-compression-7mm75', 'rg6', 'centre')).toBe(6);
    expect(of('f-plug-compression-7mm75', 'rg6', 'dielectric')).toBe(6);
    const { proudMm } = entry(catalog.parts, 'f-plug-compression-7mm75');
    expect(proudMm).toBeGreaterThanOrEqual(2);
    expect(proudMm).toBeLessThanOrEqual(5);
  });

  it('piercing: nothing is stripped', () => {
    expect(gauge('uhf-plug-piercing-10mm', 'rg213').stretches).toEqual([]);
    expect(gauge('uhf-plug-piercing-10mm', 'rg213').jacketCutMm).toBe(0);
  });
});

describe('laws of every gauge, over all parts on all cables they fit', () => {
  const pairs = [...catalog.parts.values()].flatMap((part) =>
    [...catalog.cables.values()]
      .filter((cable) => fitCable(part, cable).verdict === 'fits')
      .map((cable) => ({ part, cable, gauge: stripGauge(part, cable) })),
  );

  it('there are many', () => expect(pairs.length).toBeGreaterThan(250));

  it('lengths are positive, sum to the jacket cut and fit inside the part', () => {
    for (const { part, cable, gauge: g } of pairs) {
      const name = `${part.id} on ${cable.id}`;
      for (const { lengthMm } of g.stretches) expect(lengthMm, name).toBeGreaterThan(0);
      expect(
        g.stretches.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
        name,
      ).toBeCloseTo(g.jacketCutMm, 9);
      expect(g.jacketCutMm - part.proudMm, name).toBeLessThanOrEqual(part.jacketToPlaneMm + 1e-9);
    }
  });

  it('layers grow outwards, and every train ends with what mates', () => {
    for (const { part, gauge: g } of pairs) {
      const diameters = [...g.stretches.map(({ diameterMm }) => diameterMm), g.jacketMm];
      expect(diameters, part.id).toEqual(diameters.toSorted((a, b) => a - b));
      expect(new Set(part.train.map(({ id }) => id)).size, part.id).toBe(part.train.length);
      expect(part.train.length, part.id).toBeGreaterThan(0);
    }
  });
});

// Common practice, no source, for every figure of this block.
describe('crimp UHF and BNC, as the trade knows them', () => {
  it('crimp UHF: braid about 10 mm (3/8 in)', () =>
    expect(Math.abs(of('uhf-plug-crimp-10mm', 'rg213', 'braid') - 9.525)).toBeLessThanOrEqual(0.5));

  it('crimp UHF: the end is about 6 mm (1/4 in) longer than the connector', () => {
    const { jacketCutMm } = gauge('uhf-plug-crimp-10mm', 'rg213');
    expect(jacketCutMm - entry(catalog.parts, 'uhf-plug-crimp-10mm').jacketToPlaneMm).toBeCloseTo(6, 1);
  });
});
