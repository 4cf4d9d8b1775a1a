import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { fitCable } from '../fit/index.js';
import { cardFor, stripGauge, stripText } from './index.js';

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

  // Amateur handbooks, from memory: jacket 1 1/8 in, centre bare 5/8 in, 1/16 in of dielectric, 7/16 in of braid.
  it('solder-through-holes UHF: jacket 28.6 mm, centre 15.9 mm, dielectric 1.6 mm, braid 11.1 mm', () => {
    expect(Math.abs(gauge('uhf-plug-solder-10mm', 'rg213').jacketCutMm - 28.6)).toBeLessThanOrEqual(0.5);
    expect(of('uhf-plug-solder-10mm', 'rg213', 'centre')).toBeCloseTo(15.9, 1);
    expect(of('uhf-plug-solder-10mm', 'rg213', 'braid')).toBeCloseTo(11.1, 1);
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

  /** How far the bared conductor stands out of the part's plane, mm: from the dielectric's stop to there it lies in the part. */
  const outOf = ({ part, gauge: g }: (typeof pairs)[number]): number => {
    const [first] = g.stretches;
    const bareMm = first?.layer === 'centre' ? first.lengthMm : 0;
    return bareMm - (part.jacketToPlaneMm - part.neckMm - part.seatMm);
  };
  const isUhf = ({ part }: (typeof pairs)[number]): boolean => part.face === 'uhf-plug';
  const isF = ({ part }: (typeof pairs)[number]): boolean => part.face === 'f-plug';
  const joined = pairs.filter(({ part }) => part.style !== 'piercing' && part.style !== 'pigtail');

  // Handbook of the trade: geometry must close, on every part and every cable that fits.
  it('through the tip of a UHF plug, with a wall left round it', () => {
    for (const pair of joined.filter(isUhf)) {
      const name = `${pair.part.id} on ${pair.cable.id}`;
      expect(outOf(pair), name).toBeGreaterThanOrEqual(-1e-9);
      expect(outOf(pair), name).toBeLessThan(6.5);
      // The pin is 3.96 mm outside (IEC 60169-12, from memory).
      expect(pair.gauge.fit.pin.boreMm, name).toBeLessThan(3.4);
    }
  });

  it('2 to 5 mm out of an F plug', () => {
    for (const pair of joined.filter(isF)) {
      expect(outOf(pair), pair.part.id).toBeGreaterThanOrEqual(2);
      expect(outOf(pair), pair.part.id).toBeLessThanOrEqual(5);
    }
  });

  it('to the shoulder of a captive pin or the floor of a cup, never proud, with a little play', () => {
    for (const pair of joined.filter((one) => !isUhf(one) && !isF(one))) {
      const name = `${pair.part.id} on ${pair.cable.id}`;
      expect(outOf(pair), name).toBeLessThan(1e-9);
      expect(pair.gauge.stretches[0], name).toMatchObject({
        layer: 'centre',
        // Of a gland part the conductor passes its rear insulator first.
        lengthMm: pair.gauge.fit.pin.depthMm + (pair.part.rearMm ?? 0),
      });
      expect(pair.gauge.fit.pin.boreMm - pair.cable.centreMm, name).toBeGreaterThan(0.02);
    }
  });

  // The pin of an N plug is 3 mm behind its front, that of 7-16 7 mm, from memory: a thicker conductor needs a stepped one.
  it('a conductor thicker than the contact has a stepped pin, and no UHF part takes 15 mm cable', () => {
    const pin = (id: string): string | undefined =>
      entry(catalog.parts, id).train.find((item) => item.id === 'pin')?.name;
    expect(pin('n-plug-gland-15mm')).toBe('stepped centre pin');
    expect(pin('n-plug-gland-10mm')).toBe('centre pin');
    expect(pin('7-16-plug-gland-15mm')).toBe('centre pin');
    expect(pairs.filter(({ part, cable }) => part.face === 'uhf-plug' && cable.centreMm > 3.9)).toEqual([]);
  });

  it('no gauge of a corrugated tube has a braid in it, and no other has a tube', () => {
    for (const { cable, gauge: g } of pairs) {
      const layers = g.stretches.map(({ layer }) => layer);
      if (cable.shieldKind === 'tube') expect(layers).not.toContain('braid');
      else expect(layers).not.toContain('tube');
    }
    expect(pairs.some(({ cable }) => cable.id === 'h78')).toBe(true);
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

// Handbook of the trade: no more digits than a hand can meet; a figure of the kind of part is “about” until its own sheet is entered.
describe('honest digits', () => {
  it('half a millimetre, or 1/32 in, is what a blade meets', () => {
    expect(stripText(15.9, 'metric')).toBe('16 mm');
    expect(stripText(43.4, 'metric')).toBe('43.5 mm');
    expect(stripText(28.575, 'imperial')).toBe('1 1/8 in');
  });

  it('the card says about, and stops saying it when the figures come from the part’s own sheet', () => {
    const part = entry(catalog.parts, 'uhf-plug-solder-10mm');
    const cable = entry(catalog.cables, 'rg213');
    const jacketStep = (source: string) =>
      cardFor({ ...part, source }, cable, 'metric')?.steps.find(({ id }) => id === 'jacket')?.title;
    expect(jacketStep(part.source)).toContain('about 28.5 mm');
    expect(jacketStep('the sheet in the bag')).toContain('off, 28.5 mm');
  });
});
