import { expect, it } from 'vitest';
import { anOutdoorRun, fact, snagsOf } from '../aRun.fixture.js';

const sealed = (torqueNm?: number) =>
  fact({ kind: 'sealed', jointId: 'main>antenna', ...(torqueNm === undefined ? {} : { torqueNm }) });

// IEC 61169-16, from memory: 0.7 to 1.1 N·m.
it('a torque that nobody can mean is said, a good one and none are not', () => {
  expect(snagsOf(anOutdoorRun(), 'torque-wrong', [sealed(12)])).toMatchObject([
    { level: 'caution', at: 'main>antenna', why: expect.stringContaining('0.7 to 1.1 N·m') as string },
  ]);
  expect(snagsOf(anOutdoorRun(), 'torque-wrong', [sealed(1)])).toEqual([]);
  expect(snagsOf(anOutdoorRun(), 'torque-wrong', [sealed()])).toEqual([]);
});
