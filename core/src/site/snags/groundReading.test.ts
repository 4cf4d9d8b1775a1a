import { expect, it } from 'vitest';
import { aGround, groundSnags } from '../aGround.fixture.js';
import type { GroundReading } from '../index.js';

const reading = (over: Partial<GroundReading>): GroundReading => ({
  id: 'r',
  kind: 'bond',
  about: 'bar-rod',
  ohm: 0.3,
  method: 'two-wire',
  by: 'Wenna',
  on: '2026-11-20',
  ...over,
});

// Handbook of the trade: 0.1 ohm four-wire, 0.5 with a two-wire meter.
it('0.3 ohm is good for a two-wire meter, bad for a four-wire one', () => {
  expect(groundSnags({ readings: [reading({})] }, 'bond-reading')).toEqual([]);
  expect(groundSnags({ readings: [reading({ method: 'four-wire' })] }, 'bond-reading')).toHaveLength(1);
  const better = reading({ id: 'later', method: 'four-wire', ohm: 0.02, on: '2026-11-21' });
  expect(groundSnags({ readings: [better, reading({ method: 'four-wire' })] }, 'bond-reading')).toEqual([]);
});

// Common practice: 10 ohm. Two rods of 33 ohm in loam are 19, IEEE Std 142.
it('a computed resistance above the profile is a caution, an electrode nobody knows is asked for', () => {
  const withoutBuilding = {
    nodes: aGround().nodes.filter(({ kind }) => kind !== 'building electrode'),
    bonds: aGround().bonds.filter(({ to }) => to !== 'building'),
  };
  expect(groundSnags(withoutBuilding, 'earth-computed')).toMatchObject([
    { level: 'caution', what: expect.stringMatching(/^19.2 .* is more than your profile asks$/) as string },
  ]);
  expect(groundSnags({ ...withoutBuilding, soilOhmM: 50 }, 'earth-computed')).toEqual([]);
  expect(groundSnags({}, 'earth-computed')).toEqual([]);
  expect(groundSnags({}, 'earth-unknown')).toMatchObject([{ level: 'note', at: 'building' }]);
  const earth = reading({ kind: 'earth', about: 'bar', ohm: 8, method: 'fall of potential' });
  expect(groundSnags({ readings: [earth] }, 'earth-unknown')).toEqual([]);
});

// NEC 250.53, from memory: 25 ohm; common practice: 10.
it('what is measured to earth is held against the profile', () => {
  const earth = reading({ kind: 'earth', about: 'bar', ohm: 18, method: 'fall of potential' });
  expect(groundSnags({ readings: [earth] }, 'earth-reading')).toHaveLength(1);
  expect(groundSnags({ readings: [earth], profile: 'nec-810' }, 'earth-reading')).toEqual([]);
});
