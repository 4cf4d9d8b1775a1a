import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cascade,
  rememberingCascade,
  scattering,
  sweep,
  SPEED_OF_LIGHT,
  type Element,
  type LineElement,
} from './index.js';

const ohms = fc.double({ min: 5, max: 500, noNaN: true });
const reactance = fc.double({ min: -300, max: 300, noNaN: true });
const hertz = fc.double({ min: 1e6, max: 2e9, noNaN: true });
const line = (over: Partial<LineElement> = {}): LineElement => ({
  kind: 'line',
  z0Ohm: 50,
  velocityFactor: 0.66,
  lengthM: 1,
  k1: 0,
  k2: 0,
  ...over,
});
/** Lossless lines with resistors in them and across them: whatever is lost is lost in the resistors. */
const network = fc.array(
  fc.oneof(
    fc
      .record({ z0Ohm: ohms, lengthM: fc.double({ min: 0.01, max: 5, noNaN: true }) })
      .map((over): Element => line(over)),
    fc
      .double({ min: 0.1, max: 200, noNaN: true })
      .map((ohm): Element => ({ kind: 'series resistance', ohm })),
    fc.double({ min: 20, max: 5e3, noNaN: true }).map((ohm): Element => ({ kind: 'shunt resistance', ohm })),
    fc.record({
      kind: fc.constantFrom('series branch' as const, 'shunt branch' as const),
      ohm: fc.double({ min: 1, max: 100, noNaN: true }),
      henry: fc.double({ min: 1e-9, max: 1e-6, noNaN: true }),
      farad: fc.double({ min: 1e-12, max: 1e-9, noNaN: true }),
    }),
    fc
      .double({ min: 0.3, max: 3, noNaN: true })
      .map((ratio): Element => ({ kind: 'ideal transformer', ratio })),
  ),
  { minLength: 1, maxLength: 9 },
);

/** Volts and amperes before each element, and behind the last, with one volt across the load. */
function states(
  elements: readonly Element[],
  load: { re: number; im: number },
  hz: number,
): { v: [number, number]; i: [number, number] }[] {
  const size = load.re ** 2 + load.im ** 2;
  const [lr, li] = [load.re / size, -load.im / size];
  return [...elements.keys(), elements.length].map((k) => {
    const m = cascade(elements.slice(k), hz);
    return {
      v: [m[0] + m[2] * lr - m[3] * li, m[1] + m[2] * li + m[3] * lr],
      i: [m[4] + m[6] * lr - m[7] * li, m[5] + m[6] * li + m[7] * lr],
    };
  });
}

const square = ([re, im]: [number, number]): number => re * re + im * im;

describe('many frequencies at once', () => {
  const kinds = fc.tuple(network, fc.double({ min: 0.1, max: 60, noNaN: true }));
  /** The same few over and over, as joints are, with a lossy cable between. */
  const run = kinds.chain(([few, lengthM]) =>
    fc.array(fc.constantFrom(...few, line({ lengthM, k1: 0.6, k2: 0.002 })), { minLength: 1, maxLength: 30 }),
  );

  // The chain matrix of a cascade is the product of those of its elements (Pozar, Microwave Engineering): `cascade` multiplies them plainly.
  it.each<[string, (hz: number, step: number) => Float64Array]>([
    ['evenly spaced', (hz, step) => Float64Array.from({ length: 300 }, (_, k) => hz + k * step)],
    ['in bands', (hz, step) => Float64Array.from({ length: 300 }, (_, k) => hz + (k % 2 ? k * step : k * k))],
  ])('%s give what each gives alone', (_, gridOf) => {
    fc.assert(
      fc.property(run, hertz, fc.double({ min: 1e3, max: 1e6, noNaN: true }), (elements, hz, step) => {
        const grid = gridOf(hz, step);
        const { s21 } = scattering(elements, grid);
        for (const k of [0, 1, 127, 128, 255, 299]) {
          const m = cascade(elements, grid[k]);
          const [re, im] = [m[0] + m[2] / 50 + m[4] * 50 + m[6], m[1] + m[3] / 50 + m[5] * 50 + m[7]];
          const size = re * re + im * im;
          const alone = [(2 * re) / size, (-2 * im) / size];
          // Of a number that came about by differences of large ones fewer digits are left.
          const parts = [m[0], m[1], m[2] / 50, m[3] / 50, m[4] * 50, m[5] * 50, m[6], m[7]];
          const lost = parts.reduce((sum, part) => sum + Math.abs(part), 0) / Math.sqrt(size);
          const near = 1e-11 * lost * Math.hypot(...alone);
          expect(Math.abs(s21.re[k] - alone[0])).toBeLessThanOrEqual(near);
          expect(Math.abs(s21.im[k] - alone[1])).toBeLessThanOrEqual(near);
        }
      }),
    );
  });
});

describe('energy', () => {
  // Conservation of energy: what goes in comes out or is heat in a resistance, I²R or V²/R.
  it('power in is power out and power lost in every resistance, to 1e-9', () =>
    void fc.assert(
      fc.property(network, ohms, reactance, hertz, (elements, re, im, hz) => {
        const all = states(elements, { re, im }, hz);
        const power = ({ v, i }: (typeof all)[number]): number => v[0] * i[0] + v[1] * i[1];
        const lost = elements.reduce((sum, element, k) => {
          const omega = 2 * Math.PI * hz;
          const { kind } = element;
          if (kind === 'series resistance' || kind === 'series branch')
            return sum + square(all[k].i) * element.ohm;
          if (kind === 'shunt resistance') return sum + square(all[k].v) / element.ohm;
          if (kind !== 'shunt branch') return sum;
          const x = omega * element.henry - 1 / (omega * element.farad);
          return sum + (square(all[k].v) * element.ohm) / (element.ohm ** 2 + x ** 2);
        }, 0);
        const [into, out] = [power(all[0]), power(all[all.length - 1])];
        expect(Math.abs(into - out - lost) / into).toBeLessThan(1e-9);
      }),
    ));
});

describe('lengths of a wave', () => {
  // A quarter wave inverts: Zin · ZL = Z0². Pozar, Microwave Engineering.
  it('a quarter wave turns every load into Z0² over it', () =>
    void fc.assert(
      fc.property(ohms, reactance, ohms, hertz, (re, im, z0Ohm, hz) => {
        const quarter = line({ z0Ohm, lengthM: (0.66 * SPEED_OF_LIGHT) / (4 * hz) });
        const [{ v, i }] = states([quarter], { re, im }, hz);
        // Zin · ZL = (V/I) · ZL
        const size = square(i);
        const zin = [(v[0] * i[0] + v[1] * i[1]) / size, (v[1] * i[0] - v[0] * i[1]) / size];
        expect((zin[0] * re - zin[1] * im) / z0Ohm ** 2).toBeCloseTo(1, 6);
        expect((zin[0] * im + zin[1] * re) / z0Ohm ** 2).toBeCloseTo(0, 6);
      }),
    ));
});

describe('the sweep in chunks', () => {
  it('is at every frequency what the chain of matrices is, over the ends of the chunks', () =>
    void fc.assert(
      fc.property(network, fc.constantFrom(1, 127, 128, 129, 300), (elements, count) => {
        const f = Float64Array.from({ length: count }, (_, k) => 50e6 + k * 1.7e6);
        const { s21 } = scattering(elements, f);
        for (const k of [0, Math.floor(count / 2), count - 1]) {
          const [ar, ai, br, bi, cr, ci, dr, di] = cascade(elements, f[k]);
          const re = ar + br / 50 + cr * 50 + dr;
          const im = ai + bi / 50 + ci * 50 + di;
          expect(Math.hypot(s21.re[k], s21.im[k])).toBeCloseTo(2 / Math.hypot(re, im), 9);
        }
      }),
    ));

  // What is remembered of the cascade before must not be seen in this one.
  it.each([
    ['evenly spaced', (k: number) => 430e6 + k * 0.1e6],
    ['in two bands', (k: number) => (k % 2 ? 144e6 : 430e6) + k * 1e3],
  ])('one that remembers the last has the numbers of one that does not, %s', (_, hzOf) => {
    const joint = fc.constantFrom<Element>(
      { kind: 'contact', dbPerSqrtGhz: 0.05 },
      { kind: 'shunt capacitance', farad: 1.5e-12 },
      line({ lengthM: 0.02, z0Ohm: 75 }),
    );
    const cable = fc.integer({ min: 1, max: 40 }).map((m) => line({ lengthM: m, k1: 0.6, k2: 0.002 }));
    const element = fc.oneof(joint, cable);
    const edit = fc.record({
      at: fc.nat(30),
      instead: fc.array(element, { maxLength: 2 }),
      count: fc.constantFrom(200, 201, 801, 20),
    });
    fc.assert(
      fc.property(
        fc.array(element, { maxLength: 24 }),
        fc.array(edit, { minLength: 1, maxLength: 5 }),
        (start, edits) => {
          const remembering = rememberingCascade();
          edits.reduce((before, { at, instead, count }) => {
            const after = before.toSpliced(at % (before.length + 1), 1, ...instead);
            const hz = Float64Array.from({ length: count }, (_, k) => hzOf(k));
            const load = { re: 70, im: 20 };
            const ours = sweep(after, load, hz, 50, remembering);
            const plain = sweep(after, load, hz);
            for (const name of ['reflection', 'transmissionDb', 'heatLossDb'] as const)
              ours[name].forEach((value, k) => expect(value).toBeCloseTo(plain[name][k], 9));
            return after;
          }, start);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('a sweep of nothing is the load itself', () =>
    expect(sweep([], { re: 100, im: 0 }, Float64Array.of(1e6)).reflection[0]).toBeCloseTo(1 / 3, 12));
});
