import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { matchedLossDb } from '../line/index.js';
import { powerDetective } from './index.js';

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
    const [first] = powerDetective(cable, 30, [read(140, high), read(14, low)]);
    expect(first.kind).toBe(kind);
    expect(first.deviation).toBeLessThan(0.5);
    expect(first.excessDb).toBeCloseTo(high, 1);
  });
  it('what the meters may err is no excess', () =>
    expect(powerDetective(cable, 30, [read(14, 0.1), read(140, 0.2)])).toEqual([]));
});
