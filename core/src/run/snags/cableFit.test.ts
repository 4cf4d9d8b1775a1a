import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { applyChange } from '../design/change.js';
import type { Design } from '../design/design.js';
import { assembliesOf } from '../design/lookups.js';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Dimensions of part and cable.
describe('cableFit', () => {
  it('a 5 mm part on 10 mm cable is a stop; the right part mends it', () => {
    const wrong = aRun({ pieces: [cable({ a: { part: 'n-plug-crimp-5mm' } })] });
    const [snag] = snagsOf(wrong, 'cable-fit');
    expect(snag.level).toBe('stop');
    expect(snag.why).toMatch(/mm too small/);
    expect(mends(wrong, 'cable-fit', 0)).toBe(true);
  });

  it('another cable takes both ends along in one action', () => {
    const changed = aRun({ pieces: [cable({ cable: 'rg58' })] });
    const [snag] = snagsOf(changed, 'cable-fit');
    expect(snag.remedies[0].title).toBe('Take both ends for RG-58C/U');
    const mended = snag.remedies[0].changes.reduce(applyChange, changed);
    expect(snagsOf(mended, 'cable-fit')).toEqual([]);
    // Of the same faces: what they meet is as it was.
    const faces = (design: Design) =>
      assembliesOf(design).flatMap(({ a, b }) => [a, b].map(({ part }) => entry(catalog.parts, part).face));
    expect(faces(mended)).toEqual(faces(changed));
  });
});
