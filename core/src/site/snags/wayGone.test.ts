import { expect, it } from 'vitest';
import { applySiteChange } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

it('a run whose way was deleted says which', () => {
  expect(siteSnagsOf(aSite(), 'way-gone')).toEqual([]);
  const without = applySiteChange(aSite(), { op: 'remove way', id: 'duct' });
  expect(siteSnagsOf(without, 'way-gone')[0]).toMatchObject({ level: 'stop', at: 'run-0' });
});
