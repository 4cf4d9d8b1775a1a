import { describe, expect, it } from 'vitest';
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
});
