import { expect, it } from 'vitest';
import { applySiteChange } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

const bore = (boreMm: number) =>
  aSite({ duct: { duct: { boreMm, lubricated: true, drained: true, cord: true } } });

// NEC chapter 9 table 1, from memory: five cables of 10.3 mm (530 mm²) may fill 40 %: 40.8 mm of bore… 10.3·√(5/0.4) = 36.4 mm.
it('a duct is too full above 40 % of its bore, and a wider one mends it', () => {
  expect(siteSnagsOf(bore(37), 'duct-fill', 5)).toEqual([]);
  const [snag] = siteSnagsOf(bore(35), 'duct-fill', 5);
  expect(snag).toMatchObject({ level: 'caution', at: 'duct' });
  expect(snag.why).toContain('43 %');
  const mended = snag.remedies[0].changes.reduce(applySiteChange, bore(35));
  expect(siteSnagsOf(mended, 'duct-fill', 5)).toEqual([]);
});

it('what does not go in at all is a stop', () =>
  expect(siteSnagsOf(bore(20), 'duct-fill', 4)[0]).toMatchObject({ level: 'stop' }));
