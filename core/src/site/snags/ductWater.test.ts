import { expect, it } from 'vitest';
import { applySiteChange } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

// Common practice, no source: every duct fills with water in the end.
it('a duct without a drain and without a cord is told, and both can be mended', () => {
  const duct = { boreMm: 50, lubricated: false, drained: false, cord: false };
  const site = aSite({ duct: { duct } });
  expect(siteSnagsOf(aSite(), 'duct-drain')).toEqual([]);
  for (const [rule, level] of [
    ['duct-drain', 'caution'],
    ['duct-cord', 'note'],
  ]) {
    const [snag] = siteSnagsOf(site, rule);
    expect(snag.level).toBe(level);
    expect(siteSnagsOf(snag.remedies[0].changes.reduce(applySiteChange, site), rule)).toEqual([]);
  }
  expect(siteSnagsOf(aSite({ duct: { duct, conditions: ['inside'] } }), 'duct-drain')).toEqual([]);
});
