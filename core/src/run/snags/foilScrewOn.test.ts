import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Common practice, no source: foil and a body that turns over it do not go together.
describe('foilScrewOn', () => {
  it('cautions and offers a part that does not turn', () => {
    const run = aRun({
      radio: { name: 'Set', face: 'uhf-jack', handheld: false },
      pieces: [cable({ cable: 'c400', a: { part: 'uhf-plug-screw-on-10mm' } })],
    });
    const [snag] = snagsOf(run, 'foil-screw-on');
    expect(snag.at).toBe('main');
    expect(snag.remedies[0].title).toContain('crimp');
    expect(mends(run, 'foil-screw-on', 0)).toBe(true);
  });
});
