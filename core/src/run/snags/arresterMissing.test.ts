import { describe, expect, it } from 'vitest';
import { aRun, anOutdoorRun, cable, mends, sheetOf, snagsOf } from '../aRun.fixture.js';

// Common practice, no source; the local electrical code decides.
describe('arresterMissing', () => {
  const bare = anOutdoorRun({ pieces: [cable({ lengthM: 13 })] });
  it('an outdoor run without one is cautioned at the entry; cutting the cable there mends it', () => {
    const [snag] = snagsOf(bare, 'arrester-missing');
    expect(snag).toMatchObject({ level: 'caution', stage: 'ground', distanceM: 2 });
    expect(snag.remedies[0].title).toContain('Cut Main cable at the entry');
    expect(mends(bare, 'arrester-missing', 0)).toBe(true);
  });
  it('the cut run still has its length and mates everywhere', () => {
    const [{ remedies }] = snagsOf(bare, 'arrester-missing');
    const [change] = remedies[0].changes;
    if (change.op !== 'splice pieces') throw new Error('not a splice');
    const after = sheetOf({ ...bare, pieces: change.insert });
    expect(after.passes).toBe(true);
    expect(after.totalM).toBeGreaterThanOrEqual(13);
  });
  it('is silent indoors and where an arrester is', () => {
    expect(snagsOf(aRun(), 'arrester-missing')).toEqual([]);
    expect(snagsOf(anOutdoorRun(), 'arrester-missing')).toEqual([]);
  });
});
