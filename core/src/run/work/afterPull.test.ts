import { describe, expect, it } from 'vitest';
import { aRun, cable, fact, leg, sheetOf } from '../aRun.fixture.js';
import { noFacts } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';

// A plug for 10 mm cable is about 20 mm across (dimensions of IEC 61169-16 coupling nuts): it passes 40 mm of bore and not 20.
const through = (boreMm: number, facts: Facts = noFacts) =>
  sheetOf(
    aRun({
      pieces: [cable({ lengthM: 14 })],
      legs: [
        leg({ id: 'in', name: 'the tray', zone: 'dry', lengthM: 2 }),
        leg({ id: 'duct', name: 'the duct', kind: 'duct', zone: 'buried', lengthM: 9, boreMm }),
        leg({ id: 'up', name: 'the mast', kind: 'tower leg', zone: 'outdoor', lengthM: 3 }),
      ],
    }),
    facts,
  );
const next = (boreMm: number, facts: Facts = noFacts): string | undefined =>
  through(boreMm, facts).stages.find(({ id }) => id === 'make')?.next;
const after = (boreMm: number, facts: Facts = noFacts): string[] =>
  through(boreMm, facts).ends.flatMap(({ end, afterPull }) => (afterPull ? [end] : []));
const made = (end: string) => fact({ kind: 'end made', endId: `main.${end}` });

// Handbook of the trade, 9: an end whose connector does not pass the duct is made after the pull.
describe('a connector which does not go through the duct', () => {
  it('a wide duct asks for nothing', () => {
    expect(after(60)).toEqual([]);
    expect(next(60)).toBe('Make Main cable, radio end');
  });

  it('in a narrow one the end in the weather comes first, the dry one after the pull', () => {
    expect(after(20)).toEqual(['a']);
    expect(next(20)).toBe('Make Main cable, antenna end');
    expect(next(20, [made('b')])).toBe('Pull it through the duct, then make Main cable, radio end');
  });

  it('once it lies there the last end is made, whether the way was logged or the whole route', () => {
    for (const pulled of [
      fact({ kind: 'installed', way: { id: 'duct', name: 'the duct' } }),
      fact({ kind: 'installed' }),
    ])
      expect(next(20, [made('b'), pulled])).toBe('Make Main cable, radio end');
    const elsewhere = fact({ kind: 'installed', way: { id: 'up', name: 'the mast' } });
    expect(next(20, [made('b'), elsewhere])).toContain('Pull it through');
  });

  it('the end which is not made leads', () => expect(after(20, [made('a')])).toEqual(['b']));

  it('with both made there is no order any more', () =>
    expect(after(20, [made('a'), made('b')])).toEqual([]));
});
