import { describe, expect, it } from 'vitest';
import { aSite } from '../aSite.fixture.js';
import { emptySite } from '../document/site.js';
import { checkSite } from '../index.js';
import { wayLength } from '../way/path.js';
import { readSiteGeoJson, siteGeoJson } from './geoJson.js';

const feature = (type: string, coordinates: unknown, properties: object = {}): object => ({
  type: 'Feature',
  geometry: { type, coordinates },
  properties,
});
const file = (...features: object[]): object => ({ type: 'FeatureCollection', features });

const read = (value: unknown, site = emptySite) => {
  const done = readSiteGeoJson(value, site);
  if (!done.ok) throw new Error(done.problem.message);
  return done.value;
};

describe('GeoJSON', () => {
  it.each([
    ['in local metres', undefined],
    ['on a map', { latDeg: 51.3, lonDeg: -4.2 }],
  ])('goes out and comes back %s, to the millimetre', (_, origin) => {
    const site = { ...aSite(), ...(origin ? { origin } : {}) };
    const back = read(
      JSON.parse(JSON.stringify(siteGeoJson(site))),
      origin ? { ...emptySite, origin } : emptySite,
    );
    expect(back.points.map(({ name, kind }) => [name, kind])).toEqual(
      site.points.map(({ name, kind }) => [name, kind]),
    );
    for (const [k, { xM, yM, zM }] of back.points.entries()) {
      expect(xM).toBeCloseTo(site.points[k].xM, 2);
      expect(yM).toBeCloseTo(site.points[k].yM, 2);
      expect(zM).toBeCloseTo(site.points[k].zM, 3);
    }
    const made = { ...emptySite, ...back, origin: undefined };
    expect(back.ways.map((way) => wayLength({ ...emptySite, ...made }, way).value)).toEqual(
      site.ways.map((way) => expect.closeTo(wayLength(site, way).value, 2) as number),
    );
  });

  // A minute of latitude is a nautical mile, 1852 m, by its old definition; at 45° within 0.3 % of it (WGS 84: 1852.2 m).
  it('a minute of latitude is a nautical mile', () => {
    const { points, origin } = read(
      file(
        feature('Point', [7, 45, 0], { name: 'one' }),
        feature('Point', [7, 45 + 1 / 60], { name: 'two' }),
      ),
    );
    expect(origin).toEqual({ lonDeg: 7, latDeg: 45 });
    expect(points[1].yM).toBeGreaterThan(1846);
    expect(points[1].yM).toBeLessThan(1858);
    expect(points[1].xM).toBeCloseTo(0, 3);
  });

  it('ends of lines find their points, or make them; corners stay', () => {
    const { points, ways } = read({
      ...file(
        feature('Point', [0, 0, 1], { name: 'Rack', kind: 'rack' }),
        feature(
          'LineString',
          [
            [0.1, 0, 1],
            [4, 0, 1],
            [4, 5, 0],
          ],
          { name: 'duct' },
        ),
        feature('LineString', [
          [4, 5, 0],
          [4, 5, 12],
        ]),
      ),
      coordinates: 'local metres',
    });
    expect(points.map(({ name }) => name)).toEqual(['Rack', 'point 2', 'point 3']);
    expect(ways.map(({ from, to, via, name }) => [from, to, via.length, name])).toEqual([
      [points[0].id, points[1].id, 1, 'duct'],
      [points[1].id, points[2].id, 0, 'way 2'],
    ]);
    expect(checkSite({ ...emptySite, points, ways })).toEqual([]);
  });

  it.each<[string, unknown, RegExp]>([
    ['areas only', file(feature('Polygon', [[[0, 0]]])), /one feature is an area/],
    ['nothing', file(), /no features/],
    ['no collection', { type: 'Feature' }, /no GeoJSON/],
    ['a list', [], /no GeoJSON/],
    ['words for numbers', file(feature('Point', ['a', 1])), /no numbers/],
    ['half a line', file(feature('LineString', [[0, 0]])), /no numbers/],
    ['two countries', file(feature('Point', [7, 45]), feature('Point', [9, 45])), /km from the site/],
  ])('%s is refused with the reason', (_, value, message) => {
    const done = readSiteGeoJson(value, emptySite);
    expect(done.ok ? '' : done.problem.message).toMatch(message);
  });

  it('adds to what is there without changing it', () => {
    const { points, ways } = read(
      file(
        feature('LineString', [
          [500, 0],
          [600, 0],
        ]),
      ),
      aSite(),
    );
    const ids = [...aSite().points, ...points].map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ways).toHaveLength(1);
  });
});
