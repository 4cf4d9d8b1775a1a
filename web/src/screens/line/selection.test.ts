import { describe, expect, it } from 'vitest';
import { anOutdoorRun, aRun, sheetOf } from '../../../../core/src/run/aRun.fixture.js';
import { nextJoint, placeNamed } from './selection.js';

// Radio, inside cable, arrester, mast cable, antenna: four joints.
const design = anOutdoorRun();
const sheet = sheetOf(design);
const place = (asked: string | undefined) => placeNamed(asked, sheet, design);

describe('the chosen place', () => {
  it('a joint: at its distance, a new piece goes into it', () => {
    const { id, joint, piece, atM, insertAt } = place('arrester>main');
    expect(id).toBe('arrester>main');
    expect(joint?.number).toBe(3);
    expect(piece).toBeUndefined();
    expect(atM).toBeCloseTo(joint?.atM ?? NaN, 12);
    expect(insertAt).toBe(2);
  });

  it('a piece: in its middle, a new one goes behind it', () => {
    const { placed, piece, index, atM, insertAt } = place('main');
    expect(piece?.id).toBe('main');
    expect(index).toBe(2);
    expect(atM).toBeCloseTo(((placed?.fromM ?? 0) + (placed?.toM ?? 0)) / 2, 12);
    expect(insertAt).toBe(3);
  });

  it('an end of the run has no piece, and a new one goes to the antenna', () => {
    for (const end of ['radio', 'service', 'antenna'])
      expect(place(end)).toMatchObject({ id: end, piece: undefined, index: -1, insertAt: 3 });
  });

  it('nothing, or a place which is gone, is no place', () => {
    for (const asked of [undefined, '', 'old-piece', 'in>gone'])
      expect(place(asked)).toMatchObject({ id: undefined, joint: undefined, piece: undefined, index: -1 });
  });

  it('in a run of two ports alone a new piece goes between them', () => {
    const bare = aRun({ pieces: [] });
    expect(placeNamed('radio>antenna', sheetOf(bare), bare)).toMatchObject({ insertAt: 0, atM: 0 });
  });
});

describe('joint by joint', () => {
  const ids = sheet.joints.map(({ id }) => id);
  it('from nowhere it begins at the radio, backwards at the antenna', () => {
    expect(nextJoint(undefined, sheet.joints, 1)).toBe(ids[0]);
    expect(nextJoint('main', sheet.joints, -1)).toBe(ids.at(-1));
  });
  it('goes one on and one back, and stays at the ends', () => {
    expect(nextJoint(ids[1], sheet.joints, 1)).toBe(ids[2]);
    expect(nextJoint(ids[1], sheet.joints, -1)).toBe(ids[0]);
    expect(nextJoint(ids[0], sheet.joints, -1)).toBe(ids[0]);
    expect(nextJoint(ids[3], sheet.joints, 1)).toBe(ids[3]);
  });
});
