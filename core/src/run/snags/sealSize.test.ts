import { describe, expect, it } from 'vitest';
import { anOutdoorRun, mends, snagsOf } from '../aRun.fixture.js';

// A long joint with a thin jacket has no sleeve: sizes have ranges (handbook of the trade, 6).
describe('sealSize', () => {
  const run = anOutdoorRun({
    seals: [{ joint: 'main>antenna', system: 'gel boot', reason: 'opened often' }],
  });
  const none = {
    ...run,
    pieces: run.pieces.map((piece) =>
      piece.id === 'main' && piece.kind === 'assembly' ? { ...piece, cable: 'rg174' } : piece,
    ),
  };
  it('says which size is missing, and rubber mends it', () => {
    const [snag] = snagsOf(none, 'seal-size');
    expect(snag).toMatchObject({ level: 'caution', at: 'main>antenna' });
    expect(snag.why).toMatch(/\d+ mm at its widest and \d+ mm long/);
    expect(mends(none, 'seal-size', 0)).toBe(true);
  });
  it('is silent where one fits', () => expect(snagsOf(run, 'seal-size')).toEqual([]));
});
