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
  it('on a boat nothing is asked to be cut or driven: mast, rig and sea are said', () => {
    const boat = anOutdoorRun({
      pieces: [cable({ lengthM: 13 })],
      legs: [
        { id: 'cabin', name: 'the cabin', kind: 'indoor tray', zone: 'dry', lengthM: 2, slackM: 0 },
        {
          id: 'mast',
          name: 'deck and mast',
          kind: 'boat deck or mast',
          zone: 'salt',
          lengthM: 10,
          slackM: 0.5,
        },
      ],
    });
    const [snag] = snagsOf(boat, 'arrester-missing');
    expect(snag.level).toBe('note');
    expect(snag.why).toMatch(/mast and stays.*water/);
    expect(snag.remedies.flatMap(({ changes }) => changes)).toEqual([]);
  });
  it('is silent indoors and where an arrester is', () => {
    expect(snagsOf(aRun(), 'arrester-missing')).toEqual([]);
    expect(snagsOf(anOutdoorRun(), 'arrester-missing')).toEqual([]);
  });
});
