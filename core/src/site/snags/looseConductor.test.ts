import { expect, it } from 'vitest';
import { aGround, bond, groundSnags, mendsGround } from '../aGround.fixture.js';

it('a conductor to an arrester which is gone is told, and can be removed', () => {
  const bonds = [...aGround().bonds, bond('gone.arrester', 'bar', { id: 'loose' })];
  expect(groundSnags({ bonds }, 'loose-conductor')).toMatchObject([{ rule: 'loose-conductor', at: 'bar' }]);
  expect(mendsGround({ bonds }, 'loose-conductor')).toBe(true);
});
