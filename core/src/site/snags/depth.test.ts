import { expect, it } from 'vitest';
import { applySiteChange } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

// Common practice, no source: 200 to 250 mm for a garden run.
it('a spade finds what lies too shallow', () => {
  const shallow = aSite({ duct: { depthM: 0.1 } });
  const [snag] = siteSnagsOf(shallow, 'depth');
  expect(snag.why).toContain('local code');
  expect(siteSnagsOf(snag.remedies[0].changes.reduce(applySiteChange, shallow), 'depth')).toEqual([]);
  expect(siteSnagsOf(aSite({ duct: { depthM: 0.25 } }), 'depth')).toEqual([]);
  expect(
    siteSnagsOf(aSite({ duct: { depthM: 0.25, conditions: ['buried', 'traffic'] } }), 'depth'),
  ).toHaveLength(1);
});
