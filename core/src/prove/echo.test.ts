import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SPEED_OF_LIGHT, loaded, scattering, type Element } from '../line/index.js';
import {
  delayAt,
  delayRuler,
  distanceAt,
  echoOf,
  echoPeaks,
  gated,
  isUnexpected,
  kaiser,
  onRuler,
  type Echo,
} from './index.js';

const VF = 0.66;
const line = (lengthM: number, z0Ohm = 50, k1 = 0): Element => ({
  kind: 'line',
  z0Ohm,
  velocityFactor: VF,
  lengthM,
  k1,
  k2: 0,
});
const grid = (fromHz: number, toHz: number, count: number): Float64Array =>
  Float64Array.from({ length: count }, (_, k) => fromHz + ((toHz - fromHz) * k) / (count - 1));
const f = grid(5e6, 505e6, 401);
const seconds = (metres: number): number => metres / (VF * SPEED_OF_LIGHT);
const ruler = (metres: number, lossDb = 0) =>
  delayRuler([{ fromM: 0, toM: metres, delayS: seconds(metres), lossDb }]);
const reflectionOf = (elements: Element[], load = { re: 0, im: 0 }) => loaded(scattering(elements, f), load);
function echo(elements: Element[], load?: { re: number; im: number }): Echo {
  const result = echoOf(reflectionOf(elements, load), f);
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
}

describe('echo over distance', () => {
  // The far end open: everything comes back from there.
  it('an open end is found where it is, at full size', () => {
    const [peak, ...others] = echoPeaks(echo([line(12.34)], { re: 1, im: 0 }), ruler(12.34), 30);
    expect(peak.distanceM).toBeCloseTo(12.34, 2);
    expect(peak.returnLossDb).toBeCloseTo(0, 1);
    expect(others).toEqual([]);
  });

  it('states resolution and range: 1/(2B) widened by the window, and 1/(2Δf)', () => {
    const { resolutionS, rangeS, window } = echo([line(3)]);
    expect(resolutionS).toBeCloseTo(1.96 / (2 * 500e6), 15);
    expect(rangeS).toBeCloseTo(1 / (2 * 1.25e6), 12);
    expect(window).toContain('Kaiser');
  });

  it('a step is found within half a resolution cell, wherever it is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 53, max: 90, noNaN: true }),
        (atM, ohm) => {
          // A short stretch of another impedance; the rest of the line and the load are matched.
          const found = echoPeaks(echo([line(atM), line(0.05, ohm), line(5)]), ruler(60), 60);
          const cellM = VF * SPEED_OF_LIGHT * (1.8 / (2 * 500e6));
          expect(Math.abs(found[0].distanceM - (atM + 0.025))).toBeLessThan(cellM / 2);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('two faults a cell and a half apart are two', () => {
    const cellM = VF * SPEED_OF_LIGHT * (1.8 / (2 * 500e6));
    const found = echoPeaks(
      echo([line(8), line(0.03, 70), line(1.5 * cellM), line(0.03, 70), line(4)]),
      ruler(40),
      45,
    );
    expect(found.length).toBe(2);
  });

  it('the loss on the way is given back: an echo behind 3 dB of cable is as large as one in front', () => {
    const k1 = 3 / (0.2 * Math.sqrt(255)); // 3 dB in 20 m at the middle of the sweep
    const near = echoPeaks(echo([line(0.5), line(0.05, 80), line(2)]), ruler(60), 60)[0];
    const far = echoPeaks(echo([line(20, 50, k1), line(0.05, 80), line(2)]), ruler(20, 3), 60)[0];
    expect(Math.abs(far.returnLossDb - near.returnLossDb)).toBeLessThan(1);
  });

  it('a matched line gives nothing back', () =>
    expect(echoPeaks(echo([line(10)]), ruler(20), 60)).toEqual([]));

  it.each([
    [grid(1e6, 2e6, 5), 'echo.too-few'],
    [Float64Array.from({ length: 50 }, (_, k) => 1e6 * 1.1 ** k), 'echo.uneven'],
  ])('refuses what it cannot transform, and says why', (frequencies, code) => {
    const zero = new Float64Array(frequencies.length);
    const result = echoOf({ re: zero, im: zero }, frequencies);
    expect(!result.ok && result.problem.code).toBe(code);
    expect(!result.ok && result.problem.remedy).toContain('Sweep');
  });
});

describe('what was not computed', () => {
  it('a fault stands out, the open end which was expected does not', () => {
    const sound = echo([line(12)], { re: 1, im: 0 });
    const spoilt = echo([line(5), line(0.05, 30), line(6.95)], { re: 1, im: 0 });
    const odd = echoPeaks(spoilt, ruler(12), 34).filter((peak) => isUnexpected(peak, sound, ruler(12)));
    expect(odd[0].distanceM).toBeCloseTo(5, 1);
    expect(odd.some(({ distanceM }) => Math.abs(distanceM - 12) < 0.2)).toBe(false);
  });
});

describe('the window', () => {
  // Harris, On the use of windows, Proc. IEEE 66 (1978): symmetric, 1 in the middle; β 0 is no window at all.
  it('is symmetric, highest in the middle, and none for β 0', () => {
    const window = kaiser(101);
    expect(window[50]).toBeCloseTo(1, 12);
    for (let k = 0; k < 50; k++) expect(window[k]).toBeCloseTo(window[100 - k], 12);
    expect([...kaiser(5, 0)]).toEqual([1, 1, 1, 1, 1]);
    // 1/I0(6); I0(6) = 67.2344 (Abramowitz and Stegun, table 9.8).
    expect(1 / window[0]).toBeCloseTo(67.2344, 3);
  });
});

describe('delay and distance', () => {
  const two = delayRuler([
    { fromM: 0, toM: 10, delayS: 50e-9, lossDb: 0.5 },
    { fromM: 10, toM: 10, delayS: 0.1e-9, lossDb: 0 },
    { fromM: 10, toM: 30, delayS: 80e-9, lossDb: 1 },
  ]);
  it('follow each cable’s own speed, over connectors too, there and back', () => {
    expect(distanceAt(two, 25e-9)).toBeCloseTo(5, 9);
    expect(distanceAt(two, 50.05e-9)).toBeCloseTo(10, 9);
    expect(distanceAt(two, 90.1e-9)).toBeCloseTo(20, 9);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 29.9, noNaN: true }).filter((m) => Math.abs(m - 10) > 1e-6),
        (metres) => {
          expect(distanceAt(two, delayAt(two, metres))).toBeCloseTo(metres, 6);
        },
      ),
    );
  });
  it('beyond the end the last cable goes on', () => expect(distanceAt(two, 170.1e-9)).toBeCloseTo(40, 6));
  it('beyond a connector at the end too, which has no length of its own', () => {
    const ended = delayRuler([
      { fromM: 0, toM: 10, delayS: 50e-9, lossDb: 0.5 },
      { fromM: 10, toM: 10, delayS: 0.1e-9, lossDb: 0 },
    ]);
    expect(distanceAt(ended, 100.1e-9)).toBeCloseTo(20, 6);
  });
  it('the trace on the ruler ends where it is asked to', () => {
    const { distanceM } = onRuler(echo([line(5)]), ruler(10), 8);
    expect(distanceM[distanceM.length - 1]).toBeLessThanOrEqual(8);
    expect(distanceM[0]).toBe(0);
  });
});

describe('one joint seen alone', () => {
  it('gates the near joint out of a run with a worse one behind it', () => {
    const joint: Element = { kind: 'line', z0Ohm: 40, velocityFactor: 1, lengthM: 0.02, k1: 0, k2: 0 };
    const alone = reflectionOf([line(6), joint, line(3)]);
    const both = reflectionOf([line(6), joint, line(12)], { re: 0.6, im: 0 });
    const { frequencyHz, reflection } = gated(both, f, { fromS: seconds(4), toS: seconds(8) });
    for (let k = 0; k < frequencyHz.length; k += 25) {
      const at = f.indexOf(frequencyHz[k]);
      expect(Math.hypot(reflection.re[k], reflection.im[k])).toBeCloseTo(
        Math.hypot(alone.re[at], alone.im[at]),
        2,
      );
    }
  });
});
