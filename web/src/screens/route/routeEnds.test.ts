import { expect, it } from 'vitest';
import { aSite, routed } from '../../../../core/src/site/aSite.fixture.js';
import { routeEnds } from './routeEnds.js';

const site = aSite();
const ends = (over = {}) => routeEnds(site, routed(over));

it('a route begins and ends where its ways do, whichever way round they were drawn', () => {
  expect(ends()).toEqual({ from: 'rack', to: 'top' });
  const turned = {
    ...site,
    ways: site.ways.map((way) => (way.id === 'tray' ? { ...way, from: way.to, to: way.from } : way)),
  };
  expect(routeEnds(turned, routed())).toEqual({ from: 'rack', to: 'top' });
});

it('a run which has none yet is looked for by the names of its ports', () => {
  const { route: _, ...design } = routed({
    radio: { name: 'Foot', face: 'n-jack', handheld: false },
    antenna: { name: 'TOP', face: 'n-jack', swr: 1.3, dcShort: true },
  });
  expect(routeEnds(site, design)).toEqual({ from: 'foot', to: 'top' });
  expect(routeEnds({ ...site, points: [], ways: [] }, design)).toEqual({ from: '', to: '' });
});
