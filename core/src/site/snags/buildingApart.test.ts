import { expect, it } from 'vitest';
import { aGround, groundSnags } from '../aGround.fixture.js';

// NEC 810.21(J), from memory: the antenna’s electrode is bonded to the building’s.
it('a ground without the building’s electrode is a caution', () => {
  const less = {
    nodes: aGround().nodes.filter(({ id }) => id !== 'building'),
    bonds: aGround().bonds.filter(({ to }) => to !== 'building'),
  };
  expect(groundSnags(less, 'building-apart')).toHaveLength(1);
});
