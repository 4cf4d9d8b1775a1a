import { expect, it } from 'vitest';
import { aGround, groundSnags } from '../aGround.fixture.js';

it('bars without anything in the soil are a stop', () => {
  const nodes = aGround().nodes.filter(({ kind }) => kind === 'entry bar' || kind === 'mast');
  const bonds = aGround().bonds.filter(({ id }) => id === 'mounted');
  expect(groundSnags({ nodes, bonds }, 'no-electrode')[0].level).toBe('stop');
});
