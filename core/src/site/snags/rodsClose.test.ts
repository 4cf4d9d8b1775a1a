import { expect, it } from 'vitest';
import { aGround, groundSnags, node, rod } from '../aGround.fixture.js';

// IEEE Std 142, from memory: at least one rod’s length apart.
it('rods nearer than their length are a note', () => {
  const nodes = [...aGround().nodes, node('second', 'rod', { point: 'plate', electrode: rod })];
  expect(groundSnags({ nodes }, 'rods-close').map(({ id }) => id)).toEqual(['rods-close@rod.second']);
  expect(groundSnags({}, 'rods-close')).toEqual([]);
});
