import { expect, it } from 'vitest';
import { aGround, groundSnags, mendsGround } from '../aGround.fixture.js';

it('copper on a galvanised mast is told; a bimetal clamp or tinned copper mends it', () => {
  const nodes = aGround().nodes.map((one) => (one.id === 'mast' ? { ...one, metal: 'zinc' as const } : one));
  expect(groundSnags({ nodes }, 'metals-touch').map(({ at }) => at)).toEqual([
    'mast-mast-rod',
    'kit-top-mast',
    'kit-foot-mast',
  ]);
  expect(mendsGround({ nodes }, 'metals-touch', 0)).toBe(true);
  expect(mendsGround({ nodes }, 'metals-touch', 1)).toBe(true);
});
