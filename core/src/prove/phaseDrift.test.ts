import { describe, expect, it } from 'vitest';
import { SPEED_OF_LIGHT, loaded, scattering, type LineElement } from '../line/index.js';
import { phaseDriftOf } from './index.js';

const f = Float64Array.from({ length: 401 }, (_, k) => 100e6 + k * 1e6);
const line = (lengthM: number): LineElement => ({
  kind: 'line',
  z0Ohm: 50,
  velocityFactor: 0.66,
  lengthM,
  k1: 0.6,
  k2: 0.01,
});
const swept = (lengthM: number, twoWay: boolean) => {
  const s = scattering([line(lengthM)], f);
  return { frequencyHz: f, s: twoWay ? loaded(s, { re: 1, im: 0 }) : s.s21 };
};

describe('phase since birth', () => {
  // β·Δl = 360°·f·Δl / (VF c): standard transmission-line theory.
  it.each([true, false])('a centimetre more is 5.5° at 300 MHz, there and back: %s', (twoWay) => {
    const drift = phaseDriftOf(swept(5, twoWay), swept(5.01, twoWay), 300e6, twoWay);
    expect(drift?.degrees).toBeCloseTo((360 * 300e6 * 0.01) / (0.66 * SPEED_OF_LIGHT), 1);
    expect(drift?.verdict).toBe('marginal');
    expect(drift?.why).toContain('longer');
  });
  it('the same run has not moved; half a metre more is another run', () => {
    expect(phaseDriftOf(swept(5, true), swept(5, true), 300e6, true)).toMatchObject({ verdict: 'pass' });
    expect(phaseDriftOf(swept(5, true), swept(5.05, true), 300e6, true)?.verdict).toBe('fail');
  });
  it('outside what was swept nothing is said', () =>
    expect(phaseDriftOf(swept(5, true), swept(5, true), 900e6, true)).toBeUndefined());
});
