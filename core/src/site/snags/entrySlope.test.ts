import { expect, it } from 'vitest';
import { applySiteChange, type Site } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

/** The plate outside the wall at this height; the inner end is at 1 m. */
const plateAt = (zM: number): Site => {
  const site = aSite();
  return {
    ...site,
    points: site.points.map((one) => (one.id === 'plate' ? { ...one, kind: 'entry', zM } : one)),
  };
};

// Handbook of the trade, 8: the hole slopes outwards.
it('a hole which rises to the outside lets water in; level and falling ones do not', () => {
  expect([0.9, 1].flatMap((zM) => siteSnagsOf(plateAt(zM), 'entry-slope'))).toEqual([]);
  const [snag] = siteSnagsOf(plateAt(1.05), 'entry-slope');
  expect(snag.why).toContain('50 mm higher');
  const mended = snag.remedies[0].changes.reduce(applySiteChange, plateAt(1.05));
  expect(siteSnagsOf(mended, 'entry-slope')).toEqual([]);
});

it('where nobody said which end is outside, nothing is said', () =>
  expect(siteSnagsOf(aSite({ wall: { from: 'plate', to: 'inner' } }), 'entry-slope')).toEqual([]));
