import { expect, it } from 'vitest';
import { applySiteChange, type Beside } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

const beside = (...all: Beside[]) => aSite({ mast: { beside: all } });

// Common practice, no source: 300 mm along mains, crossings at right angles.
it.each<[string, Beside, string]>([
  ['mains close by', { what: 'mains', distanceMm: 50 }, 'separation'],
  ['a flat crossing', { what: 'mains', distanceMm: 50, crossingDegrees: 30 }, 'crossing'],
])('%s is told and can be mended', (_, one, rule) => {
  const [snag] = siteSnagsOf(beside(one), rule);
  const mended = snag.remedies[0].changes.reduce(applySiteChange, beside(one));
  expect(siteSnagsOf(mended, rule)).toEqual([]);
});

it('a power line stops the work, whatever its distance', () =>
  expect(siteSnagsOf(beside({ what: 'power line', distanceMm: 8000 }), 'power-line')[0]).toMatchObject({
    level: 'stop',
    remedies: [],
  }));

it('nothing against mains far away, a crossing at right angles, and data', () => {
  const all = beside(
    { what: 'mains', distanceMm: 300 },
    { what: 'mains', distanceMm: 20, crossingDegrees: 90 },
    { what: 'data', distanceMm: 20 },
  );
  for (const rule of ['separation', 'crossing', 'power-line']) expect(siteSnagsOf(all, rule)).toEqual([]);
});
