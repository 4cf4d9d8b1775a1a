import { expect, it } from 'vitest';
import { aRun, cable, leg, mends, snagsOf } from '../aRun.fixture.js';

const run = (id: string, part: string, outM: number) =>
  aRun({
    legs: [leg({ id: 'out', zone: 'outdoor', lengthM: outM })],
    pieces: [cable({ cable: id, lengthM: outM + 0.5, a: { part }, b: { part } })],
  });

// Common practice, no source: 2.5 mm cable is for leads and the inside of boxes.
it('2.5 mm cable is a caution outdoors, but for a tail; thicker mends it', () => {
  const thin = run('rg316', 'bnc-plug-crimp-25mm', 12);
  expect(snagsOf(thin, 'thin-outdoors')).toMatchObject([{ level: 'caution', at: 'main' }]);
  expect(mends(thin, 'thin-outdoors', 0)).toBe(true);
  expect(snagsOf(run('rg316', 'bnc-plug-crimp-25mm', 1), 'thin-outdoors')).toEqual([]);
  expect(snagsOf(run('rg58', 'bnc-plug-crimp-5mm', 12), 'thin-outdoors')).toEqual([]);
});
