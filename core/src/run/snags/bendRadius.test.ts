import { describe, expect, it } from 'vitest';
import { aRun, mends, snagsOf } from '../aRun.fixture.js';

// Bend radii: cable data.
describe('bendRadius', () => {
  it('a tight bend is cautioned, and a flexing loop asks for more', () => {
    const leg = {
      id: 'loop',
      name: 'the loop',
      lengthM: 12,
      slackM: 0,
      zone: 'dry' as const,
      bendRadiusMm: 70,
    };
    expect(snagsOf(aRun({ legs: [{ ...leg, kind: 'indoor tray' }] }), 'bend')).toEqual([]);
    const flexing = aRun({ legs: [{ ...leg, kind: 'rotator loop' }] });
    expect(snagsOf(flexing, 'bend')[0].why).toContain('100 mm when flexed');
    expect(mends(flexing, 'bend', 0)).toBe(true);
  });
});
