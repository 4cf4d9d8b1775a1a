import { expect, it } from 'vitest';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

// Common practice, no source: a bore of 2.8 to 3.2 diameters.
it('three equal cables can jam, two cannot', () => {
  const site = aSite({ duct: { duct: { boreMm: 31, lubricated: true, drained: true, cord: true } } });
  expect(siteSnagsOf(site, 'duct-jam', 3)[0].why).toContain('3.0 times');
  expect(siteSnagsOf(site, 'duct-jam', 2)).toEqual([]);
  expect(siteSnagsOf(aSite(), 'duct-jam', 3)).toEqual([]);
});
