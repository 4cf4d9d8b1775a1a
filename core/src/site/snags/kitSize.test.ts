import { expect, it } from 'vitest';
import { aGround, groundSnags, mendsGround } from '../aGround.fixture.js';

// RG-213/U has a jacket of 10.3 mm: MIL-DTL-17, from memory.
it('a kit which does not fit the jacket is a stop', () => {
  const nodes = aGround().nodes.map((one) =>
    one.id === 'kit-top' ? { ...one, kit: { run: 'run-0', fromMm: 4, toMm: 6 } } : one,
  );
  expect(groundSnags({ nodes }, 'kit-size').map(({ at, level }) => [at, level])).toEqual([
    ['kit-top', 'stop'],
  ]);
  expect(mendsGround({ nodes }, 'kit-size')).toBe(true);
});
