import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entryM, legKindIn, routeLength, zoneAt, zones, type LegLike } from './index.js';

const legs: LegLike[] = [
  { lengthM: 2, slackM: 0.3, zone: 'dry' },
  { lengthM: 9, slackM: 0.5, zone: 'buried' },
  { lengthM: 11, slackM: 0, zone: 'ice' },
];

describe('the length of a route', () => {
  it('is legs, slack and spare', () => {
    const { total, slack } = routeLength(legs, 0.12);
    expect(total.value).toBeCloseTo(22.92, 9);
    expect(slack.value).toBeCloseTo(0.8, 9);
  });

  it('puts each place of the ruler into the zone of its leg', () => {
    const { spans } = routeLength(legs, 0);
    expect([0, 2.29, 2.3, 11.79, 11.8, 22, 99].map((m) => zoneAt(spans, m))).toEqual([
      'dry',
      'dry',
      'buried',
      'buried',
      'ice',
      'ice',
      'ice',
    ]);
    expect(zoneAt([], 5)).toBe('dry');
  });

  it('finds where the run goes out', () => {
    expect(entryM(routeLength(legs, 0).spans)).toBeCloseTo(2.3, 9);
    expect(entryM(routeLength(legs.slice(1), 0).spans)).toBeUndefined();
    expect(entryM(routeLength(legs.slice(0, 1), 0).spans)).toBeUndefined();
  });

  it('spans lie end to end', () => {
    const leg = fc.record({
      lengthM: fc.double({ min: 0.1, max: 50, noNaN: true }),
      slackM: fc.double({ min: 0, max: 5, noNaN: true }),
      zone: fc.constantFrom(...zones),
    });
    fc.assert(
      fc.property(fc.array(leg, { minLength: 1, maxLength: 10 }), (any) => {
        const { spans, total } = routeLength(any, 0);
        spans.slice(1).forEach((span, k) => expect(span.fromM).toBe(spans[k].toM));
        expect(spans.at(-1)?.toM).toBeCloseTo(total.value, 9);
      }),
    );
  });
});

// What lies in the ground is buried or in a duct, and nothing else is. From the meaning of the words.
describe('the kind of leg a zone stands for', () => {
  it.each([
    ['buried', 'surface clipped', 'direct burial'],
    ['buried', 'duct', 'duct'],
    ['outdoor', 'direct burial', 'surface clipped'],
    ['outdoor', 'tower leg', 'tower leg'],
  ] as const)('%s, %s: %s', (zone, kind, now) => expect(legKindIn(zone, kind)).toBe(now));
});
