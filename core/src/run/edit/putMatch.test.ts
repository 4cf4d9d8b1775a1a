import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { quarterWave } from '../../cut/index.js';
import { anOutdoorRun, sheetOf } from '../aRun.fixture.js';
import { applyChange, putMatch, checkReferences } from '../index.js';

describe('a matching device put into a run', () => {
  it('is pieces with their electrical targets before the antenna, and the run is still one', () => {
    const design = anOutdoorRun();
    const cables = ['rg213', 'rg11'].map((id) => entry(catalog.cables, id));
    const device = quarterWave({ re: 100, im: 30 }, 145e6, 50, cables[0], cables);
    const made = putMatch(design, device, catalog).reduce(applyChange, design);
    const added = made.pieces.slice(design.pieces.length);
    expect(added.map((piece) => (piece.kind === 'assembly' ? piece.target?.degrees : 0))).toEqual(
      device.pieces.map(({ degrees }) => degrees),
    );
    expect(checkReferences(made, catalog)).toEqual([]);
    // Each is trimmed as a piece whose length is phase.
    const targets = sheetOf(made).cuts.filter(({ electrical }) => electrical);
    expect(targets.length).toBe(device.pieces.length);
  });
});
