import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { point, way } from './aSite.fixture.js';
import { emptySite, type Site } from './document/site.js';
import { findRoutes } from './findRoutes.js';

/** Every chain of ways that goes through no point twice, by walking them all: slow, and plainly right. */
function everyRoute(site: Site, from: string, to: string): number[] {
  const lengths: number[] = [];
  const walk = (at: string, passed: readonly string[], lengthM: number): void => {
    if (at === to) {
      lengths.push(lengthM);
      return;
    }
    for (const one of site.ways) {
      const next = one.from === at ? one.to : one.to === at ? one.from : undefined;
      if (next !== undefined && !passed.includes(next))
        walk(next, [...passed, next], lengthM + (one.lengthM ?? 0));
    }
  };
  walk(from, [from], 0);
  return lengths.sort((x, y) => x - y);
}

const names = ['a', 'b', 'c', 'd', 'e', 'f'];
const anySite = fc
  .array(fc.tuple(fc.constantFrom(...names), fc.constantFrom(...names), fc.integer({ min: 1, max: 30 })), {
    maxLength: 12,
  })
  .map((ways): Site => ({
    ...emptySite,
    points: names.map((name, k) => point(name, k)),
    ways: ways
      .filter(([from, to]) => from !== to)
      .map(([from, to, lengthM], k) => way(`w${k}`, from, to, { lengthM })),
  }));

describe('the way from one point to another', () => {
  it('the shortest comes first, then the next ones: as walking every one says', () => {
    fc.assert(
      fc.property(anySite, (site) => {
        const found = findRoutes(site, 'a', 'f', 4).map(({ lengthM }) => lengthM);
        expect(found).toEqual(everyRoute(site, 'a', 'f').slice(0, 4));
      }),
      { numRuns: 300 },
    );
  });

  it('counts its bends, and gives nothing where no ways lead', () => {
    const site = {
      ...emptySite,
      points: [point('a', 0), point('b', 1), point('c', 2)],
      ways: [way('one', 'a', 'b', { bends: [{ atM: 0.5, degrees: 90, radiusMm: 100 }] })],
    };
    expect(findRoutes(site, 'a', 'b')).toEqual([{ ways: ['one'], lengthM: 1, bends: 1 }]);
    expect(findRoutes(site, 'a', 'c')).toEqual([]);
    expect(findRoutes(site, 'a', 'gone')).toEqual([]);
  });
});
