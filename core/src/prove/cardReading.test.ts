import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { cardExpectation, judge } from './index.js';

const rg213 = entry(catalog.cables, 'rg213');

// Common practice, no source: a good end is open above 100 Mohm and passes the copper's own resistance.
describe('readings asked for on a card', () => {
  it.each([
    ['short check', Infinity, 'pass'],
    ['short check', 0.4, 'fail'],
    ['insulation', 5e6, 'fail'],
    ['continuity', 0.1, 'pass'],
    ['continuity', Infinity, 'fail'],
    ['continuity', 12, 'fail'],
  ] as const)('%s of %d ohm: %s', (reading, ohm, verdict) => {
    expect(judge(cardExpectation(reading, rg213, 12), ohm).verdict).toBe(verdict);
  });

  it('continuity counts the centre alone', () =>
    expect(cardExpectation('continuity', rg213, 1000).expected.value).toBeCloseTo(5.9, 9));
});
