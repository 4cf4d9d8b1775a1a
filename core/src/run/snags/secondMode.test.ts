import { expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

const run = (id: string, part: string, hz: number) =>
  aRun({
    service: { bands: [{ name: 'band', lowHz: hz - 1e6, highHz: hz }], powerW: 1, duty: 1, lossBudgetDb: 60 },
    pieces: [cable({ cable: id, lengthM: 1, a: { part }, b: { part } })],
  });

// 2c/(π(D + d)√εr), Pozar: 7/8 in (23/9.3 mm, VF 0.89) 5.26 GHz, 10 mm foam (7.24/2.74 mm, VF 0.85) 16.3 GHz.
it('a cable above its cut-off stops the run, and a thinner one mends it', () => {
  const tooThick = run('c400', 'n-plug-crimp-10mm', 18e9);
  expect(snagsOf(tooThick, 'second-mode')).toMatchObject([
    { level: 'stop', why: expect.stringMatching(/^From 16\.\d+ GHz/) as string },
  ]);
  expect(mends(tooThick, 'second-mode', 0)).toBe(true);
  expect(snagsOf(run('c400', 'n-plug-crimp-10mm', 16e9), 'second-mode')).toEqual([]);
});
