import { expect, it } from 'vitest';
import { aGround, groundSnags, mendsGround } from '../aGround.fixture.js';

const with4mm2 = aGround().bonds.map((one) =>
  one.id === 'rod-mast-rod' ? { ...one, section: { areaMm2: 4 } } : one,
);

// Handbook of the trade: 16 mm² between rods; IEC 62305-3, from memory: 50 mm².
it('a thin conductor between rods is told by the profile which asks more', () => {
  expect(groundSnags({ bonds: with4mm2 }, 'ground-wire-thin').map(({ at }) => at)).toEqual(['rod-mast-rod']);
  expect(mendsGround({ bonds: with4mm2 }, 'ground-wire-thin')).toBe(true);
  const asked = groundSnags({ profile: 'iec-62305-3' }, 'ground-wire-thin');
  expect(asked.map(({ at }) => at).sort()).toEqual([
    'bar-building',
    'bar-rod',
    'mast-mast-rod',
    'rod-mast-rod',
  ]);
  expect(groundSnags({ profile: 'nec-810' }, 'ground-wire-thin')).toEqual([]);
});
