import { describe, expect, it } from 'vitest';
import { anOutdoorRun, cable, mends, snagsOf } from '../aRun.fixture.js';

const atSea = (main: ReturnType<typeof cable>) => {
  const run = anOutdoorRun({
    legs: anOutdoorRun().legs.map((leg, k) => (k === 1 ? { ...leg, zone: 'salt' as const } : leg)),
  });
  return { ...run, pieces: [...run.pieces.slice(0, 2), main] };
};

// Salt eats bare copper under the jacket; tinned cable and parts that close on the braid stand it. Common practice, no source.
describe('saltAir', () => {
  it('bare copper in salt is cautioned, and tinned cable mends it', () => {
    const run = atSea(cable({ cable: 'rg213', lengthM: 11 }));
    expect(snagsOf(run, 'salt-cable')[0].level).toBe('caution');
    expect(mends(run, 'salt-cable', 0)).toBe(true);
    expect(snagsOf(atSea(cable({ cable: 'm10', lengthM: 11 })), 'salt-cable')).toEqual([]);
    expect(snagsOf(anOutdoorRun(), 'salt-cable')).toEqual([]);
  });
  it.each(['uhf-plug-piercing-10mm', 'uhf-plug-screw-on-10mm'])(
    '%s leaves the braid open to salt',
    (part) => {
      const run = atSea(cable({ cable: 'm10', lengthM: 11, b: { part } }));
      const [snag] = snagsOf(run, 'salt-end');
      expect(snag.level).toBe('caution');
      expect(snag.remedies[0].title).toMatch(/UHF plug/);
    },
  );
});
