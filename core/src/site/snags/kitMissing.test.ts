import { describe, expect, it } from 'vitest';
import { aGround, groundSnags, groundedSite, mendsGround, groundOf } from '../aGround.fixture.js';

describe('ground kits', () => {
  // Handbook of the trade: at the top below the antenna’s tail, and at the foot above the bend.
  it.each(['top', 'foot'])('none at the %s is told, and is added with its lead', (where) => {
    const less = {
      nodes: aGround().nodes.filter(({ id }) => id !== `kit-${where}`),
      bonds: aGround().bonds.filter(({ from }) => from !== `kit-${where}`),
    };
    expect(groundSnags(less, 'kit-missing').map(({ at }) => at)).toEqual([where]);
    expect(mendsGround(less, 'kit-missing')).toBe(true);
  });

  // Common practice, no source: every 30 m.
  it('a mast of 70 m has two more between', () => {
    const site = groundedSite();
    const points = site.points.map((one) => (one.id === 'top' ? { ...one, zM: 71 } : one));
    const missing = groundOf({ ...site, points }).snags.filter(({ rule }) => rule === 'kit-missing');
    expect(missing.map(({ id }) => id)).toEqual([
      'kit-missing@run-0.between.31',
      'kit-missing@run-0.between.61',
    ]);
    const between = { id: 'half', name: 'half', kind: 'mast point' as const, xM: 12.5, yM: 0, zM: 31 };
    const known = groundOf({ ...site, points: [...points, between] }).snags;
    expect(known.find(({ id }) => id.endsWith('between.31'))?.at).toBe('half');
  });
});
