import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import {
  complexImpedance,
  loadImpedance,
  primaryConstants,
  reflectionOf,
  sweep,
  type Element,
  type LineElement,
} from './index.js';

const f = (...hz: number[]): Float64Array => Float64Array.from(hz);
const of = (id: string): LineElement => {
  const { impedanceOhm, velocityFactor, k1, k2 } = entry(catalog.cables, id);
  return { kind: 'line', z0Ohm: impedanceOhm, velocityFactor, k1, k2, lengthM: 20 };
};

describe('R, L, G and C of a cable', () => {
  // Capacitance per metre of MIL-DTL-17 sheets as the table of cables has it: an independent figure of the same cable.
  it.each(['rg58', 'rg213', 'rg316', 'rg59'])('%s: capacitance as its data sheet says', (id) => {
    const { faradPerM } = primaryConstants(of(id), 10e6);
    expect((faradPerM * 1e12) / entry(catalog.cables, id).capacitancePfPerM).toBeGreaterThan(0.96);
    expect((faradPerM * 1e12) / entry(catalog.cables, id).capacitancePfPerM).toBeLessThan(1.04);
  });

  // √(L/C) = Z0 and 1/√(LC) = v: Pozar, Microwave Engineering.
  it('give impedance and velocity back', () => {
    const { henryPerM, faradPerM } = primaryConstants(of('rg213'), 10e6);
    expect(Math.sqrt(henryPerM / faradPerM)).toBeCloseTo(50, 9);
    expect(1 / Math.sqrt(henryPerM * faradPerM) / 299_792_458).toBeCloseTo(0.66, 9);
  });

  // Low-loss line: Z0 ≈ R0 (1 − j α/β) where the loss is in the conductors (The ARRL Antenna Book).
  it('the complex impedance leans to the capacitive side by α/β, and stands upright as the frequency rises', () => {
    const line = of('rg58');
    const [re, im] = complexImpedance({ ...line, k2: 0 }, 1e6);
    const alpha = (line.k1 * Math.sqrt(1)) / 100 / (20 / Math.LN10);
    const beta = (2 * Math.PI * 1e6) / (line.velocityFactor * 299_792_458);
    expect(im / re).toBeCloseTo(-alpha / beta, 3);
    const high = complexImpedance(line, 1e9);
    expect(Math.abs(high[1] / high[0])).toBeLessThan(Math.abs(im / re) / 10);
  });

  it('a matched line loses the same with either impedance, within a hundredth of a dB', () => {
    for (const hz of [1e6, 30e6, 450e6]) {
      const [plain, complex] = [of('rg58'), { ...of('rg58'), complexZ0: true }].map(
        (line) => sweep([line], { re: 50, im: 0 }, f(hz)).transmissionDb[0],
      );
      expect(Math.abs(plain - complex)).toBeLessThan(0.01);
    }
  });
});

describe('loads', () => {
  // Resonance at 1/(2π√(LC)): a series circuit is its resistance there, a parallel one too.
  it.each(['series', 'parallel'] as const)('a %s circuit is its resistance at resonance', (kind) => {
    const [henry, farad] = [1.2e-6, 22e-12];
    const { re, im } = loadImpedance(
      { kind, ohm: 73, henry, farad },
      f(1 / (2 * Math.PI * Math.sqrt(henry * farad))),
    );
    expect(re[0]).toBeCloseTo(73, 6);
    expect(im[0]).toBeCloseTo(0, 6);
  });

  it('a series circuit is capacitive below and inductive above', () => {
    const { im } = loadImpedance({ kind: 'series', ohm: 50, henry: 1e-6, farad: 25e-12 }, f(20e6, 50e6));
    expect(im[0]).toBeLessThan(0);
    expect(im[1]).toBeGreaterThan(0);
  });

  it('a trace gives back the impedance it was made from', () =>
    void fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: -400, max: 400, noNaN: true }),
        (ohm, x) => {
          const gamma = reflectionOf({ re: f(ohm, ohm), im: f(x, x) }, 50);
          const { re, im } = loadImpedance(
            { kind: 'trace', referenceOhm: 50, frequencyHz: [1e6, 2e6], ...gamma },
            f(0.5e6, 1.5e6, 9e6),
          );
          for (const k of [0, 1, 2]) {
            expect(re[k] / ohm).toBeCloseTo(1, 6);
            expect(im[k]).toBeCloseTo(x, 4);
          }
        },
      ),
    ));

  it('a run sees a different load at each frequency', () => {
    const line: Element = { ...of('rg213'), lengthM: 0.001 };
    const hz = f(100e6, 200e6);
    const load = loadImpedance({ kind: 'series', ohm: 50, henry: 20e-9, farad: 0 }, hz);
    const { reflection } = sweep([line], load, hz);
    const { re, im } = reflectionOf(load, 50);
    expect(reflection[0]).toBeCloseTo(Math.hypot(re[0], im[0]), 3);
    expect(reflection[1]).toBeCloseTo(Math.hypot(re[1], im[1]), 3);
  });
});

describe('lumped and ideal elements', () => {
  const passive = (element: Element, load: number): { reflection: number; db: number } => {
    const { reflection, transmissionDb } = sweep([element], { re: load, im: 0 }, f(100e6));
    return { reflection: reflection[0], db: transmissionDb[0] };
  };
  // Turns squared: 2:1 in voltage is 4:1 in impedance (standard texts).
  it('a transformer of 2 to 1 makes 50 ohm of 12.5, of 1 to 2 of 200', () => {
    expect(passive({ kind: 'ideal transformer', ratio: 2 }, 12.5).reflection).toBeLessThan(1e-12);
    expect(passive({ kind: 'ideal transformer', ratio: 0.5 }, 200).reflection).toBeLessThan(1e-12);
    expect(passive({ kind: 'ideal transformer', ratio: 2 }, 12.5).db).toBeCloseTo(0, 9);
  });

  it('a series trap at its resonance across the line is a short, a series capacitor alone blocks low frequencies', () => {
    const henry = 1 / ((2 * Math.PI * 100e6) ** 2 * 10e-12);
    expect(passive({ kind: 'shunt branch', ohm: 0.001, henry, farad: 10e-12 }, 50).db).toBeLessThan(-80);
    const low = sweep(
      [{ kind: 'series branch', ohm: 0, henry: 0, farad: 100e-12 }],
      { re: 50, im: 0 },
      f(1e5, 1e9),
    );
    expect(low.transmissionDb[0]).toBeLessThan(-40);
    expect(low.transmissionDb[1]).toBeGreaterThan(-0.05);
  });

  // X = Z0 tan βl shorted, −Z0 cot βl open: Pozar, Microwave Engineering. An eighth of a wave is ± Z0.
  it.each([
    ['short', 0.125],
    ['open', 0.375],
  ] as const)('a stub, %s, of %d wavelengths across the line is an inductor of Z0', (end, waves) => {
    const lossless: LineElement = {
      kind: 'line',
      z0Ohm: 50,
      velocityFactor: 1,
      k1: 0,
      k2: 0,
      lengthM: waves * 2.99792458,
    };
    const stub = passive({ kind: 'shunt stub', line: lossless, end }, 50);
    const coil = passive({ kind: 'shunt branch', ohm: 0, henry: 50 / (2 * Math.PI * 100e6), farad: 0 }, 50);
    expect(stub.reflection).toBeCloseTo(coil.reflection, 9);
  });
});
