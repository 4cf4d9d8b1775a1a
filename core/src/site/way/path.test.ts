import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptySite, type Site } from '../document/site.js';
import { point, way } from '../aSite.fixture.js';
import { reversedStretches, riseM, stretchesOf, wayLength } from './path.js';

const corner = (over = {}): [Site, Site['ways'][number]] => {
  const one = way('one', 'a', 'b', { via: [{ xM: 3, yM: 0, zM: 0 }], ...over });
  return [{ ...emptySite, points: [point('a', 0), { ...point('b', 3), yM: 4 }], ways: [one] }, one];
};

describe('the path of a way', () => {
  // Pythagoras: 3 and 4 along the corner, 5 straight.
  it('goes along its corners, unless it was measured', () => {
    const [site, one] = corner();
    expect(wayLength(site, one).value).toBe(7);
    expect(wayLength(site, { ...one, via: [] }).value).toBe(5);
    expect(wayLength(site, { ...one, lengthM: 8.2 })).toMatchObject({ value: 8.2, source: 'as measured' });
  });

  it('a corner is a bend of its angle, whose radius nobody has said', () => {
    const [site, one] = corner();
    expect(stretchesOf(site, one)).toMatchObject([
      { kind: 'straight', fromM: 0, lengthM: 3 },
      { kind: 'bend', atM: 3, radiusMm: undefined },
      { kind: 'straight', fromM: 3, lengthM: 4 },
    ]);
    const [, turn] = stretchesOf(site, one);
    expect(turn.kind === 'bend' && turn.degrees).toBeCloseTo(90, 6);
  });

  it('a bend that was entered at the corner is the corner, one elsewhere comes on top', () => {
    const at = (atM: number) => {
      const [site, one] = corner({ bends: [{ atM, degrees: 90, radiusMm: 300 }] });
      return stretchesOf(site, one).filter(({ kind }) => kind === 'bend');
    };
    expect(at(3.2)).toHaveLength(1);
    expect(at(5)).toHaveLength(2);
  });

  it('rises from its first point to its last', () => {
    const site = { ...emptySite, points: [point('a', 0, 1), point('b', 0, 13)], ways: [] };
    expect(riseM(site, way('up', 'a', 'b'))).toBe(12);
    expect(stretchesOf(site, way('up', 'a', 'b'))[0]).toMatchObject({ slope: Math.PI / 2 });
  });

  it('straights make the length, from either end, with points at one place too', () => {
    const metres = fc.integer({ min: -20, max: 20 });
    const place = fc.record({ xM: metres, yM: metres, zM: metres });
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 2, maxLength: 6 }),
        fc.option(fc.double({ min: 0.1, max: 900, noNaN: true }), { nil: undefined }),
        fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { maxLength: 3 }),
        (places, lengthM, bends) => {
          const [first, ...rest] = places;
          const last = rest.pop() ?? first;
          const site: Site = {
            ...emptySite,
            points: [
              { ...point('a', 0), ...first },
              { ...point('b', 0), ...last },
            ],
          };
          const one = way('one', 'a', 'b', {
            via: rest,
            ...(lengthM === undefined ? {} : { lengthM }),
            bends: bends.map((atM) => ({ atM, degrees: 45, radiusMm: 200 })),
          });
          const total = wayLength(site, one).value;
          const there = stretchesOf(site, one);
          for (const stretches of [there, reversedStretches(there, total)]) {
            const straights = stretches.flatMap((each) => (each.kind === 'straight' ? [each] : []));
            expect(straights.reduce((sum, each) => sum + each.lengthM, 0)).toBeCloseTo(total, 6);
            expect(stretches.filter(({ kind }) => kind === 'bend').length).toBeGreaterThanOrEqual(
              total > 0 ? bends.length : 0,
            );
          }
        },
      ),
    );
  });
});
