import { describe, expect, it } from 'vitest';
import { aRun, anOutdoorRun, arrester, cable, leg, sheetOf } from '../aRun.fixture.js';
import { applyChange } from '../design/change.js';
import type { Design } from '../design/design.js';

const wrapOf = (design: Design, jointId: string) => {
  const found = sheetOf(design).wraps.find((one) => one.jointId === jointId);
  if (!found) throw new Error(`no seal at ${jointId}`);
  return found;
};

// Handbook of the trade, 6 and 11: laps shed water like roof tiles, whichever side the cable comes from; the cable rises to an entry from its drip loop;
// a socket flush in a plate ends the tape at its flange.
describe('which side of a joint is the lower one', () => {
  const atEntry = aRun({
    pieces: [cable({ id: 'in', lengthM: 3 }), arrester(), cable({ lengthM: 12 })],
    legs: [
      leg({ id: 'in', zone: 'dry', kind: 'indoor tray', lengthM: 3, slackM: 0 }),
      leg({ id: 'wall', zone: 'outdoor', kind: 'surface clipped', lengthM: 12, slackM: 0 }),
    ],
  });

  it('at an entry the tape begins on the cable outside, runs up to the plate and ends at its flange', () => {
    const { hang, wrap, profile } = wrapOf(atEntry, 'arrester>main');
    expect(hang).toEqual({ lower: 'antenna', from: 'drip loop', flange: 'radio' });
    expect(profile[0].name).toMatch(/ferrule|gland/);
    expect(profile[profile.length - 1].name).toBe('N jack body');
    const jointM = profile.reduce((sum, { lengthM }) => sum + lengthM, 0);
    expect(wrap?.fromM).toBeLessThan(-0.03);
    expect(wrap?.toM).toBeCloseTo(jointM, 9);
    // The last pass of every layer runs up.
    const last = wrap?.layers.findLast(({ tape }) => tape?.tape.kind === 'rubber');
    expect(last?.tape?.direction).toBe('up');
  });

  it('on a mast it is the side of the radio, and where the way falls that of the antenna', () => {
    const up = anOutdoorRun();
    const level: Design = {
      ...up,
      legs: up.legs.map((one) => ({ ...one, kind: 'surface clipped' as const })),
    };
    const jointId = 'main>antenna';
    expect(wrapOf(level, jointId).hang.from).toBe('assumed');
    const last = (over: object): Design => ({
      ...level,
      legs: level.legs.map((one, k) => (k === level.legs.length - 1 ? { ...one, ...over } : one)),
    });
    expect(wrapOf(last({ kind: 'tower leg' }), jointId).hang).toMatchObject({
      lower: 'radio',
      from: 'heights',
    });
    expect(wrapOf(last({ riseM: -6 }), jointId).hang).toMatchObject({ lower: 'antenna', from: 'heights' });
  });

  it('what somebody says comes first, and turns the profile round', () => {
    const jointId = 'main>antenna';
    const run = anOutdoorRun();
    const turned = applyChange(run, { op: 'set hang', hang: { joint: jointId, lower: 'antenna' } });
    expect(wrapOf(turned, jointId).hang).toMatchObject({ lower: 'antenna', from: 'said' });
    expect(wrapOf(turned, jointId).profile).toEqual(wrapOf(run, jointId).profile.toReversed());
    const again = applyChange(turned, { op: 'set hang', hang: { joint: jointId, lower: 'radio' } });
    expect(again.hangs).toHaveLength(1);
  });
});
