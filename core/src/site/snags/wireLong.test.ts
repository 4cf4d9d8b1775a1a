import { expect, it } from 'vitest';
import { aGround, groundSnags } from '../aGround.fixture.js';

const changed = (id: string, lengthM: number | undefined) => ({
  bonds: aGround().bonds.map(({ lengthM: old, ...one }) =>
    one.id !== id
      ? { ...one, ...(old === undefined ? {} : { lengthM: old }) }
      : { ...one, ...(lengthM === undefined ? {} : { lengthM }) },
  ),
});

// Handbook of the trade: a kit’s lead is at most 1 m.
it('the lead of a kit is 1 m at most', () => {
  expect(groundSnags(changed('kit-top-mast', 1.5), 'ground-wire-long')).toHaveLength(1);
  expect(groundSnags(changed('kit-top-mast', 1), 'ground-wire-long')).toEqual([]);
  expect(groundSnags(changed('bar-rod', 4), 'ground-wire-long')).toEqual([]);
});

it('where nobody says a length, and no points do, it is asked for', () => {
  expect(groundSnags(changed('bar-building', undefined), 'ground-wire-length')).toHaveLength(1);
  // The volts of the arrester hang on it: that is no small thing.
  const toRod = aGround().bonds.filter(({ id }) => id === 'mounted' || id === 'bar-building');
  const bonds = toRod.map(({ lengthM: _, ...one }) => one);
  expect(groundSnags({ bonds }, 'ground-wire-length')).toMatchObject([{ level: 'caution' }]);
  expect(groundSnags(changed('rod-mast-rod', undefined), 'ground-wire-length')).toEqual([]);
});
