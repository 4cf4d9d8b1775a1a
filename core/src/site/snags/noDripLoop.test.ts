import { expect, it } from 'vitest';
import { aSite, route, routed, siteSnagsOf } from '../aSite.fixture.js';

it('a cable that goes in through a wall hangs lower before it', () => {
  expect(siteSnagsOf(aSite(), 'drip-loop')).toEqual([]);
  const without = routed({ route: route.map(({ way }) => ({ way, slack: [] })) });
  expect(siteSnagsOf(aSite(), 'drip-loop', 1, without)[0].why).toContain('150 mm');
  const indoors = routed({ route: [{ way: 'tray', slack: [] }] });
  expect(siteSnagsOf(aSite(), 'drip-loop', 1, indoors)).toEqual([]);
});
