import { describe, expect, it } from 'vitest';
import { anOutdoorRun, mends, snagsOf } from '../aRun.fixture.js';

// A gel boot hangs with its seam downwards and does not stand ice. Common practice, no source.
describe('sealSystemPlace', () => {
  const inZone = (zone: 'ice' | 'outdoor') =>
    anOutdoorRun({
      legs: anOutdoorRun().legs.map((leg) => (leg.id === 'mast' ? { ...leg, zone } : leg)),
      seals: [{ joint: 'main>antenna', system: 'gel boot', reason: 'opened often' }],
    });
  it('stops a boot in ice, and rubber mends it', () => {
    expect(snagsOf(inZone('ice'), 'seal-place')).toMatchObject([{ level: 'stop', at: 'main>antenna' }]);
    expect(mends(inZone('ice'), 'seal-place', 0)).toBe(true);
  });
  it('lets it be outdoors', () => expect(snagsOf(inZone('outdoor'), 'seal-place')).toEqual([]));
});
