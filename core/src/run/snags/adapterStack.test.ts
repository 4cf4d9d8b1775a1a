import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';
import type { AnyPiece } from '../design/design.js';

const adapter = (id: string, adapterId: string, reversed = false): AnyPiece => ({
  kind: 'adapter',
  id,
  adapter: adapterId,
  reversed,
});

// Common practice, no source: a stack hanging on an SMA port is a lever.
describe('adapterStack', () => {
  const stacked = aRun({
    radio: { name: 'Handheld', face: 'sma-jack', handheld: false },
    pieces: [
      adapter('one', 'sma-plug-to-bnc-jack'),
      adapter('two', 'n-jack-to-bnc-plug', true),
      cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } }),
    ],
  });
  it('cautions with the lever in mm; re-ending or a pigtail mends it', () => {
    const [snag] = snagsOf(stacked, 'adapter-stack');
    expect(snag.why).toMatch(/\d+ mm of lever on an SMA port/);
    expect(snag.remedies[0].title).toContain('End Main cable with an SMA plug');
    expect(mends(stacked, 'adapter-stack', 0)).toBe(true);
    expect(mends(stacked, 'adapter-stack', 1)).toBe(true);
  });
  it('is silent on a sturdy port', () =>
    expect(
      snagsOf({ ...stacked, radio: { name: 'Set', face: 'n-jack', handheld: false } }, 'adapter-stack'),
    ).toEqual([]));
});
