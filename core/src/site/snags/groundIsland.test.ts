import { expect, it } from 'vitest';
import { aGround, groundSnags, mendsGround } from '../aGround.fixture.js';

const without = (...ids: string[]) => ({ bonds: aGround().bonds.filter(({ id }) => !ids.includes(id)) });

// Handbook of the trade: never a separate radio ground; all rods and the building’s are bonded together.
it.each([
  ['the rod at the mast', ['rod-mast-rod'], 'stop', 'ground of its own'],
  ['the arrester', ['mounted'], 'stop', 'tied to nothing'],
  ['a kit', ['kit-top-mast'], 'caution', 'Kit-top is tied to nothing'],
])('%s which is tied to nothing is told, and join these two mends it', (_, ids, level, what) => {
  const [snag] = groundSnags(without(...ids), 'ground-island');
  expect(snag.level).toBe(level);
  expect(snag.what).toContain(what);
  expect(mendsGround(without(...ids), 'ground-island')).toBe(true);
});

it('the nearest two are joined: the mast’s rod to the rod, the arrester to the bar without a conductor', () => {
  expect(groundSnags(without('rod-mast-rod'), 'ground-island')[0].remedies[0].title).toMatch(/bar|rod/);
  const [{ remedies }] = groundSnags(without('mounted'), 'ground-island');
  expect(remedies[0].changes[0]).toMatchObject({ op: 'put bond', bond: { to: 'bar', joint: 'mounted' } });
});

it('a line without a protector has nothing to tie', () => {
  const line = { id: 'rotator', name: 'rotator', kind: 'other line' as const, metal: 'copper' as const };
  const nodes = [...aGround().nodes, { ...line, protector: '' }];
  expect(groundSnags({ nodes }, 'ground-island')).toEqual([]);
  const fitted = [...aGround().nodes, { ...line, protector: 'rotator protector' }];
  expect(groundSnags({ nodes: fitted }, 'ground-island')).toHaveLength(1);
});
