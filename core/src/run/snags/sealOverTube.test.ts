import { describe, expect, it } from 'vitest';
import { anOutdoorRun, mends, snagsOf } from '../aRun.fixture.js';

// An arrester whose tube must stay reachable is not entombed: handbook of the trade, 6.
describe('sealOverTube', () => {
  const outdoors = anOutdoorRun({
    legs: anOutdoorRun().legs.map((leg) => ({ ...leg, zone: 'outdoor' as const })),
  });
  const by = (system: 'cold shrink' | 'rubber and vinyl') => ({
    ...outdoors,
    seals: [{ joint: 'in>arrester', system, reason: 'a test' }],
  });
  it('tells of a sleeve which reaches over the cap, and rubber mends it', () => {
    expect(snagsOf(by('cold shrink'), 'seal-over-tube')).toMatchObject([
      { level: 'caution', at: 'in>arrester' },
    ]);
    expect(mends(by('cold shrink'), 'seal-over-tube', 0)).toBe(true);
  });
  it('is silent of tape, which a hand leads past it', () =>
    expect(snagsOf(by('rubber and vinyl'), 'seal-over-tube')).toEqual([]));
});
