import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faces } from '../../catalog/index.js';
import { aRun, cable, mends, sheetOf, snagsOf } from '../aRun.fixture.js';

// IEC 61169-15 faces; the reverse-polarity trap is a trade fact.
describe('mating', () => {
  const trap = aRun({
    radio: { name: 'Data radio', face: 'rp-sma-jack', handheld: false },
    pieces: [cable({ cable: 'rg58', a: { part: 'sma-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
  });

  it('a plain SMA plug on an RP-SMA port is a stop which says why', () => {
    const [snag] = snagsOf(trap, 'mating');
    expect(snag).toMatchObject({ level: 'stop', at: 'radio>main', distanceM: 0 });
    expect(snag.why).toContain('0.92 mm');
    expect(sheetOf(trap).passes).toBe(false);
  });

  it('re-ending is offered first, and every remedy mends it', () => {
    const [{ remedies }] = snagsOf(trap, 'mating');
    expect(remedies[0].title).toContain('RP-SMA plug');
    expect(remedies.length).toBeGreaterThan(1);
    remedies.forEach((_, k) => expect(mends(trap, 'mating', k)).toBe(true));
  });

  it('an adapter the wrong way round is turned', () => {
    const wrong = aRun({
      radio: { name: 'Set', face: 'uhf-jack', handheld: false },
      pieces: [{ kind: 'adapter', id: 'adapter', adapter: 'uhf-plug-to-n-jack', reversed: true }, cable()],
    });
    expect(snagsOf(wrong, 'mating')[0].remedies[0].title).toContain('Turn');
    expect(mends(wrong, 'mating', 0)).toBe(true);
  });

  it('whatever the ports, each remedy joins its joint', () => {
    fc.assert(
      fc.property(fc.constantFrom(...faces.keys()), (face) => {
        const design = aRun({ radio: { name: 'Set', face, handheld: false } });
        const [snag] = snagsOf(design, 'mating');
        for (const k of snag?.remedies.keys() ?? []) expect(mends(design, 'mating', k)).toBe(true);
      }),
      { numRuns: 20 },
    );
  });
});
