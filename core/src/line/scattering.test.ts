import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { loaded, scattering, sweep, type Element, type Scattering } from './index.js';

const line = (over: Partial<Extract<Element, { kind: 'line' }>> = {}): Element => ({
  kind: 'line',
  z0Ohm: 50,
  velocityFactor: 0.66,
  lengthM: 1,
  k1: 0,
  k2: 0,
  ...over,
});
const at = (s: Scattering, k = 0) => ({
  s11: [s.s11.re[k], s.s11.im[k]],
  s21: [s.s21.re[k], s.s21.im[k]],
  s12: [s.s12.re[k], s.s12.im[k]],
  s22: [s.s22.re[k], s.s22.im[k]],
});
const size = ([re, im]: number[]): number => re * re + im * im;
const hz = (values: number[]): Float64Array => Float64Array.from(values);

/** Any passive element of a run. */
const element: fc.Arbitrary<Element> = fc.oneof(
  fc.record({
    kind: fc.constant('line' as const),
    z0Ohm: fc.double({ min: 20, max: 200, noNaN: true }),
    velocityFactor: fc.double({ min: 0.5, max: 1, noNaN: true }),
    lengthM: fc.double({ min: 0.01, max: 20, noNaN: true }),
    k1: fc.double({ min: 0, max: 3, noNaN: true }),
    k2: fc.double({ min: 0, max: 0.1, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('contact' as const),
    dbPerSqrtGhz: fc.double({ min: 0, max: 0.5, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('shunt capacitance' as const),
    farad: fc.double({ min: 0, max: 5e-12, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('series resistance' as const),
    ohm: fc.double({ min: 0, max: 100, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('shunt resistance' as const),
    ohm: fc.double({ min: 1, max: 1e6, noNaN: true }),
  }),
);
const lossless = element.map((one): Element =>
  one.kind === 'line' ? { ...one, k1: 0, k2: 0 } : { kind: 'shunt capacitance', farad: 2e-12 },
);
const frequency = fc.double({ min: 1e6, max: 2e9, noNaN: true });

describe('textbook lines (Pozar, Microwave Engineering)', () => {
  it('a matched line only turns the phase: S21 = exp(−jβl)', () => {
    const quarter = (0.66 * 299_792_458) / (4 * 100e6);
    const { s11, s21 } = at(scattering([line({ lengthM: quarter })], hz([100e6])));
    expect(size(s11)).toBeCloseTo(0, 12);
    expect(s21[0]).toBeCloseTo(0, 12);
    expect(s21[1]).toBeCloseTo(-1, 12);
  });

  it('a quarter wave of 70.7 ohm matches 100 to 50 ohm: Z = √(Z1 Z2)', () => {
    const quarter = (0.66 * 299_792_458) / (4 * 100e6);
    const s = scattering([line({ z0Ohm: Math.sqrt(5000), lengthM: quarter })], hz([100e6]));
    const { re, im } = loaded(s, { re: 50 / 150, im: 0 });
    expect(Math.hypot(re[0], im[0])).toBeCloseTo(0, 9);
  });

  it('a half wave repeats any load', () => {
    const half = (0.66 * 299_792_458) / (2 * 100e6);
    const s = scattering([line({ z0Ohm: 93, lengthM: half })], hz([100e6]));
    fc.assert(
      fc.property(
        fc.double({ min: -0.7, max: 0.7, noNaN: true }),
        fc.double({ min: -0.7, max: 0.7, noNaN: true }),
        (re, im) => {
          const input = loaded(s, { re, im });
          expect(input.re[0]).toBeCloseTo(re, 9);
          expect(input.im[0]).toBeCloseTo(im, 9);
        },
      ),
    );
  });

  it('a shunt of 50 ohm in a 50 ohm line reflects a third and passes two thirds', () => {
    const { s11, s21 } = at(scattering([{ kind: 'shunt resistance', ohm: 50 }], hz([1e6])));
    expect(s11[0]).toBeCloseTo(-1 / 3, 12);
    expect(s21[0]).toBeCloseTo(2 / 3, 12);
  });
});

describe('laws of every cascade', () => {
  it('reciprocity: S12 = S21', () => {
    fc.assert(
      fc.property(fc.array(element, { minLength: 1, maxLength: 8 }), frequency, (elements, f) => {
        const { s21, s12 } = at(scattering(elements, hz([f])));
        expect(s12[0]).toBeCloseTo(s21[0], 7);
        expect(s12[1]).toBeCloseTo(s21[1], 7);
      }),
    );
  });

  it('without loss nothing is lost: |S11|² + |S21|² = 1 to 1e-9', () => {
    fc.assert(
      fc.property(fc.array(lossless, { minLength: 1, maxLength: 6 }), frequency, (elements, f) => {
        const { s11, s21 } = at(scattering(elements, hz([f])));
        expect(Math.abs(size(s11) + size(s21) - 1)).toBeLessThan(1e-9);
      }),
    );
  });

  it('passivity: the largest singular value is at most 1', () => {
    fc.assert(
      fc.property(fc.array(element, { minLength: 1, maxLength: 8 }), frequency, (elements, f) => {
        const { s11, s21, s12, s22 } = at(scattering(elements, hz([f])));
        // Largest eigenvalue of the Hermitian S^H S, whose diagonal holds the column sums.
        const [one, two] = [size(s11) + size(s21), size(s12) + size(s22)];
        const mixRe = s11[0] * s12[0] + s11[1] * s12[1] + s21[0] * s22[0] + s21[1] * s22[1];
        const mixIm = s11[0] * s12[1] - s11[1] * s12[0] + s21[0] * s22[1] - s21[1] * s22[0];
        const largest = (one + two) / 2 + Math.hypot((one - two) / 2, mixRe, mixIm);
        expect(largest).toBeLessThanOrEqual(1 + 1e-9);
      }),
    );
  });

  it('a run cut in two and joined again is the same run', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 30, noNaN: true }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        frequency,
        (lengthM, share, f) => {
          const lossy = { k1: 0.6, k2: 0.01, lengthM };
          const whole = at(scattering([line(lossy)], hz([f])));
          const parts = at(
            scattering(
              [
                line({ ...lossy, lengthM: lengthM * share }),
                line({ ...lossy, lengthM: lengthM * (1 - share) }),
              ],
              hz([f]),
            ),
          );
          for (const pair of ['s11', 's21'] as const)
            for (const k of [0, 1]) expect(parts[pair][k]).toBeCloseTo(whole[pair][k], 8);
        },
      ),
    );
  });

  it('agrees with the sweep of the run, which is computed another way', () => {
    const { k1, k2, velocityFactor } = entry(catalog.cables, 'rg213');
    const elements = [line({ k1, k2, velocityFactor, lengthM: 12 }), line({ z0Ohm: 35, lengthM: 0.02 })];
    const f = hz([50e6, 151.6e6, 450e6]);
    const { re, im } = loaded(scattering(elements, f), { re: 25 / 125, im: 0 });
    const swept = sweep(elements, { re: 75, im: 0 }, f);
    for (const k of [0, 1, 2]) expect(Math.hypot(re[k], im[k])).toBeCloseTo(swept.reflection[k], 9);
  });
});
