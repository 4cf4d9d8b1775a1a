import { expect, it } from 'vitest';
import { aGround, groundSnags, mendsGround } from '../aGround.fixture.js';

it('tight bends are a note, and wide ones mend it', () => {
  const bonds = aGround().bonds.map((one) => (one.id === 'bar-rod' ? { ...one, sharpBends: 2 } : one));
  expect(groundSnags({ bonds }, 'ground-wire-bends')).toMatchObject([
    { rule: 'ground-wire-bends', level: 'note' },
  ]);
  expect(mendsGround({ bonds }, 'ground-wire-bends')).toBe(true);
});
