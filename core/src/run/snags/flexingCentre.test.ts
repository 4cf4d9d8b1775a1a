import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';
import type { Design } from '../design/design.js';

// Common practice, no source: stranded where it flexes.
describe('flexingCentre', () => {
  const legs: Design['legs'] = [
    { id: 'loop', name: 'the rotator loop', kind: 'rotator loop', zone: 'outdoor', lengthM: 12, slackM: 0.5 },
  ];
  it('cautions for a solid centre and offers a stranded one', () => {
    const solid = aRun({ legs, pieces: [cable({ cable: 'c400' })] });
    expect(snagsOf(solid, 'flexing-centre')[0].why).toContain('2.74 mm wire');
    expect(mends(solid, 'flexing-centre', 0)).toBe(true);
    expect(snagsOf(aRun({ legs }), 'flexing-centre')).toEqual([]);
  });
});
