import { expect, it } from 'vitest';
import { applySiteChange } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

// Handbook of the trade, 8: 200 to 250 mm are usual in a garden, a spade's blade is 280 to 300 mm, 450 mm keep it off.
it('a spade finds what lies too shallow', () => {
  const shallow = aSite({ duct: { depthM: 0.1 } });
  const [snag] = siteSnagsOf(shallow, 'depth');
  expect(snag).toMatchObject({ level: 'caution', why: expect.stringContaining('local code') as string });
  expect(siteSnagsOf(snag.remedies[0].changes.reduce(applySiteChange, shallow), 'depth')).toEqual([]);
  expect(siteSnagsOf(aSite({ duct: { depthM: 0.25 } }), 'depth')).toMatchObject([{ level: 'note' }]);
  expect(siteSnagsOf(aSite({ duct: { depthM: 0.45 } }), 'depth')).toEqual([]);
  expect(
    siteSnagsOf(aSite({ duct: { depthM: 0.45, conditions: ['buried', 'traffic'] } }), 'depth'),
  ).toMatchObject([{ level: 'caution' }]);
});
