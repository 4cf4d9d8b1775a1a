import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Common practice, no source.
describe('handheldPort', () => {
  it('cautions about depth, with the lever in mm', () => {
    const handheld = aRun({
      radio: { name: 'Handheld', face: 'sma-jack', handheld: true },
      pieces: [{ kind: 'adapter', id: 'adapter', adapter: 'sma-plug-to-n-jack', reversed: false }, cable()],
    });
    const [snag] = snagsOf(handheld, 'handheld');
    expect(snag.why).toMatch(/\d+ mm of rigid adapter/);
    expect(mends(handheld, 'handheld', 0)).toBe(true);
  });
});
