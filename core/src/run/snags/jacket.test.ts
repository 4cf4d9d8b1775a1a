import { describe, expect, it } from 'vitest';
import { aRun, anOutdoorRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Jacket data of the cables; burial rule: handbook practice.
describe('jacket', () => {
  // PVC takes up water, and every duct fills with it (common practice, no source).
  it('a duct is cautioned where the jacket takes up water, and offered only to one that does not', () => {
    const leg = { id: 'duct', name: 'the duct', zone: 'buried' as const, lengthM: 12, slackM: 0 };
    const duct = (id: string, part: string) =>
      aRun({ pieces: [cable({ cable: id, a: { part }, b: { part } })], legs: [{ ...leg, kind: 'duct' }] });
    expect(snagsOf(duct('rg58', 'n-plug-crimp-5mm'), 'jacket')[0].why).toContain('takes up water');
    expect(snagsOf(duct('c400', 'n-plug-crimp-10mm'), 'jacket')).toEqual([]);
    const riser = aRun({
      pieces: [cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
      legs: [{ ...leg, name: 'the riser', kind: 'duct', zone: 'dry' }],
    });
    expect(snagsOf(riser, 'jacket')).toEqual([]);
  });

  it('RG-58 in earth is a stop; another cable mends it', () => {
    const buried = aRun({
      pieces: [cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
      legs: [
        { id: 'trench', name: 'the trench', kind: 'direct burial', zone: 'buried', lengthM: 12, slackM: 0 },
      ],
    });
    expect(snagsOf(buried, 'jacket')[0].level).toBe('stop');
    expect(mends(buried, 'jacket', 0)).toBe(true);
  });
  it('a jacket which sun destroys is cautioned outdoors', () => {
    const sunny = anOutdoorRun();
    sunny.pieces[2] = cable({
      cable: 'rg174',
      lengthM: 11,
      a: { part: 'bnc-plug-crimp-25mm' },
      b: { part: 'bnc-plug-crimp-25mm' },
    });
    expect(snagsOf(sunny, 'jacket')[0].level).toBe('caution');
  });
});
