import { expect, it } from 'vitest';
import { aGround, groundSnags, mendsGround, node } from '../aGround.fixture.js';

it('a rotator’s lead without a protector is a caution; with one it has to be tied', () => {
  const nodes = [...aGround().nodes, node('rotator', 'other line', { protector: '' })];
  expect(groundSnags({ nodes }).map(({ rule }) => rule)).toContain('line-unprotected');
  expect(mendsGround({ nodes }, 'line-unprotected')).toBe(true);
});
