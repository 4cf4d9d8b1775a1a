import { expect, it } from 'vitest';
import { applySiteChange } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

const turn = (atM: number) => ({ atM, degrees: 90, radiusMm: 300 });
const winding = (bends: number) =>
  aSite({
    duct: {
      lengthM: 40,
      bends: Array.from({ length: bends }, (_, k) => turn(((k + 1) * 40) / (bends + 1))),
      duct: { boreMm: 50, lubricated: false, drained: true, cord: true },
    },
  });

// Capstan (any mechanics handbook), RG-213/U at 1.51 N/m and 450 N: 40 m level and dry are 30 N; each quarter turn takes it 2.2 times.
it('too many bends are a stop, and lubricant may mend it', () => {
  expect(siteSnagsOf(winding(1), 'pull')).toEqual([]);
  const [snag] = siteSnagsOf(winding(6), 'pull');
  expect(snag).toMatchObject({ level: 'stop', at: 'duct' });
  const mended = snag.remedies[0].changes.reduce(applySiteChange, winding(5));
  expect(siteSnagsOf(mended, 'pull')).toEqual([]);
});
