import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { icedWeightNPerM, spanTension } from './aerial.js';
import { gripsFor, supportSpacingM } from './hang.js';

/** Tension at the supports of a true catenary, N: solved for its parameter by halving (sag = a·(cosh(L/2a) − 1); any mechanics handbook). */
function catenaryN(weight: number, spanM: number, sagM: number): number {
  let [low, high] = [spanM / 100, spanM * 1000];
  for (let k = 0; k < 200; k++) {
    const a = (low + high) / 2;
    if (a * (Math.cosh(spanM / (2 * a)) - 1) > sagM) low = a;
    else high = a;
  }
  return weight * (low + sagM);
}

describe('a span', () => {
  // The parabola falls short of the catenary by about (8/3)·(sag/L)²·… : below 1 % for a sag of 5 % of the span, some per cent at 20 %.
  it.each([
    [0.02, 0.003],
    [0.05, 0.01],
    [0.2, 0.06],
  ])('parabola against catenary at a sag of %d of the span: within %d', (share, within) => {
    const exact = catenaryN(1.5, 30, share * 30);
    expect(Math.abs(spanTension(1.5, 30, share * 30).value - exact) / exact).toBeLessThan(within);
  });

  // By hand: 10.3 mm cable with 10 mm of ice: π·(15.15² − 5.15²)·10⁻⁶ m² · 900 kg/m³ = 0.574 kg/m, with its own 0.154 kg/m 7.14 N/m.
  it('ice makes a thin cable many times heavier', () => {
    const rg213 = entry(catalog.cables, 'rg213');
    expect(icedWeightNPerM({ ...rg213, jacketMm: 10.3 }, 10)).toBeCloseTo(7.14, 1);
    expect(icedWeightNPerM(rg213, 0)).toBeCloseTo(1.51, 2);
  });
});

describe('what carries a cable', () => {
  const rg213 = entry(catalog.cables, 'rg213');
  // Handbook of the trade, from memory: 1 m for 10 mm, 0.6 m in ice; journey A: about 50 hangers on 30 m in ice.
  it('distance of its supports', () => {
    const mast = { kind: 'tower leg' as const, conditions: [] };
    expect(supportSpacingM(mast, rg213)).toBe(1);
    expect(supportSpacingM({ ...mast, conditions: ['ice'] }, rg213)).toBe(0.6);
    expect(supportSpacingM({ ...mast, supportM: 0.9 }, rg213)).toBe(0.9);
    expect(supportSpacingM({ kind: 'duct', conditions: [] }, rg213)).toBeUndefined();
    expect(Math.ceil(30 / 0.6)).toBe(50);
  });

  // Handbook of the trade, from memory: every 60 m, or by the cable’s limit.
  it('grips by height and by weight', () => {
    expect(gripsFor(12, 1.5, 450)).toBe(0);
    expect(gripsFor(30, 1.5, 450)).toBe(1);
    expect(gripsFor(90, 1.5, 450)).toBe(2);
    expect(gripsFor(30, 20, 300)).toBe(2);
  });
});
