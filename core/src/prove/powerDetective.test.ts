import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { matchedLossDb } from '../line/index.js';
import { lossReadOf, powerDetective } from './index.js';

const cable = entry(catalog.cables, 'rg213');
const read = (mhz: number, excessDb: number) => ({
  frequencyHz: mhz * 1e6,
  lossDb: matchedLossDb(cable, mhz * 1e6, 30) + excessDb,
  sigmaDb: 0.15,
});

// How each grows: conductor loss with √f, dielectric loss with f (Pozar), a resistance in a joint not at all.
describe('where the power goes', () => {
  it.each([
    ['copper', 1, Math.sqrt(10)],
    ['wet dielectric', 0.4, 4],
    ['fixed joint', 1.5, 1.5],
  ] as const)('%s, by two readings at 14 and 140 MHz', (kind, low, high) => {
    const {
      kinds: [first],
      verdict,
    } = powerDetective(cable, 30, [read(140, high), read(14, low)]);
    expect(verdict).toBe('explained');
    expect(first.kind).toBe(kind);
    expect(first.deviation).toBeLessThan(0.5);
    expect(first.excessDb).toBeCloseTo(high, 1);
  });
  // 100 W in and 50 W out are 3.01 dB; two meters of 5 % each (handbook of the trade).
  it('is read off two meters, their difference taken off', () => {
    const step = { frequencyHz: 14e6, forwardW: 100, reflectedW: 0, loadW: 50 };
    const raw = lossReadOf(step);
    const compared = lossReadOf(step, 0.2);
    expect(raw?.lossDb).toBeCloseTo(3.01, 2);
    expect(raw?.sigmaDb).toBeCloseTo(0.25, 2);
    expect(compared?.lossDb).toBeCloseTo(2.81, 2);
    expect(compared?.sigmaDb).toBeCloseTo((raw?.sigmaDb ?? 0) / 2, 6);
    expect(lossReadOf({ frequencyHz: 14e6, forwardW: 100, reflectedW: 0 })).toBeUndefined();
  });

  it('what the meters may err is no excess', () =>
    expect(powerDetective(cable, 30, [read(14, 0.1), read(140, 0.2)]).verdict).toBe('no excess'));

  it('two frequencies side by side tell nothing apart, and less above than below is none of the kinds', () => {
    expect(powerDetective(cable, 30, [read(14, 2), read(21, 2.2)]).verdict).toBe('too near');
    expect(powerDetective(cable, 30, [read(14, 3), read(140, 0.5)])).toMatchObject({
      verdict: 'unexplained',
      kinds: [],
    });
  });
});
