import { expect, it } from 'vitest';
import { nutAcrossMm } from './series.js';
import { seriesById } from './index.js';

// Flats of 32, 19, 14 and 6.35 mm times 2/√3: geometry of the hexagon.
it.each([
  ['7-16', 37.0],
  ['n', 21.9],
  ['tnc', 16.2],
  ['smc', 7.3],
] as const)('the nut of %s is %d mm across its corners', (id, mm) =>
  expect(nutAcrossMm(seriesById[id])).toBeCloseTo(mm, 1),
);

it('a nut without flats is as wide as it is round', () => expect(nutAcrossMm(seriesById.bnc)).toBe(14.4));
