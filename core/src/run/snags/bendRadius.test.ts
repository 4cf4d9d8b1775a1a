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

  // Pulling asks for about twice the fixed radius (common practice, no source): RG-213/U rests in 50 mm and is pulled round 100 mm.
  it('a bend of a duct is judged while the cable is pulled round it', () => {
    const duct = (bendRadiusMm: number) =>
      aRun({
        legs: [
          {
            id: 'duct',
            name: 'the duct',
            kind: 'duct',
            zone: 'outdoor',
            lengthM: 12,
            slackM: 0,
            bendRadiusMm,
          },
        ],
      });
    expect(snagsOf(duct(70), 'bend')[0].why).toContain('100 mm while it is pulled');
    expect(snagsOf(duct(100), 'bend')).toEqual([]);
  });
});
