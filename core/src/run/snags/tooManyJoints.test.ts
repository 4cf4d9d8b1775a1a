import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';
import type { AnyPiece } from '../design/design.js';

const adapter = (id: string, adapterId: string, reversed = false): AnyPiece => ({
  kind: 'adapter',
  id,
  adapter: adapterId,
  reversed,
});

// Common practice, no source.
describe('tooManyJoints', () => {
  const pair = (k: number): AnyPiece[] => [
    adapter(`a${k}`, 'n-plug-to-n-jack-saver'),
    adapter(`b${k}`, 'n-plug-to-n-jack-saver'),
  ];
  it('cautions beyond three adapters and takes the needless one out', () => {
    const run = aRun({ pieces: [...pair(1), ...pair(2), cable()] });
    const [snag] = snagsOf(run, 'too-many-joints');
    expect(snag.what).toBe('4 adapters in one run');
    expect(snag.remedies[0].title).toMatch(/^Take .* out$/);
    expect(mends(run, 'too-many-joints', 0)).toBe(true);
  });
  it('is silent with three', () =>
    expect(snagsOf(aRun({ pieces: [...pair(1), pair(2)[0], cable()] }), 'too-many-joints')).toEqual([]));
});
