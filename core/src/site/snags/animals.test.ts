import { expect, it } from 'vitest';
import { applySiteChange } from '../index.js';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

// Handbook of the trade, 8: rodents and livestock: armour, duct or gel-filled cable.
it('where animals are a clipped cable is in danger, one in a duct is not', () => {
  const tray = aSite({ mast: { conditions: ['outside', 'animals'] } });
  const [snag] = siteSnagsOf(tray, 'animals');
  expect(snag).toMatchObject({ level: 'caution', at: 'mast' });
  const mended = snag.remedies[0].changes.reduce(applySiteChange, tray);
  expect(siteSnagsOf(mended, 'animals')).toEqual([]);
  expect(siteSnagsOf(aSite({ duct: { conditions: ['buried', 'animals'] } }), 'animals')).toEqual([]);
  // A way without cables harms nobody yet.
  expect(siteSnagsOf(tray, 'animals', 0)).toEqual([]);
});
