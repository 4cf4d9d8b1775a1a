import { expect, it } from 'vitest';
import { aSite, routed, siteSnagsOf } from '../aSite.fixture.js';

it('the cautions of work at height stand on the mast, where a cable goes up it', () => {
  expect(siteSnagsOf(aSite(), 'at-height').map(({ at }) => at)).toEqual(['mast']);
  expect(siteSnagsOf(aSite(), 'at-height')[0].why).toContain('power lines first');
  const indoors = routed({ route: [{ way: 'tray', slack: [] }] });
  expect(siteSnagsOf(aSite(), 'at-height', 1, indoors)).toEqual([]);
});
