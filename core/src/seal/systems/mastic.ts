import { tapes } from '../../catalog/index.js';
import { Layers } from '../plan.js';
import { vinylMethod, widthM, type SealSystem } from './system.js';

/** Mastic lies with so little over itself. Common practice, no source. */
const MASTIC_LAP = 1 / 4;

/** Vinyl, butyl mastic, vinyl. Handbook of the trade, 6. */
export const mastic: SealSystem = {
  id: 'mastic',
  name: 'three layers: vinyl, butyl mastic, vinyl',
  places: ['outdoor', 'salt', 'ice'],
  slidOnBefore: false,
  years: 15,
  plan: (object, { advance, tapes: { vinyl, mastic: filler } }) => {
    const { vinyl50 } = tapes;
    const beyondM = widthM(vinyl50) / 2;
    return new Layers(object)
      .tape('Under layer of vinyl', vinyl, { ...vinylMethod, advance, beyondM })
      .tape('Mastic', filler, {
        stretch: 1,
        lap: MASTIC_LAP,
        advance: 'along the axis',
        beyondM: beyondM + 0.01,
      })
      .tape('UV layer', vinyl50, { ...vinylMethod, advance, passes: 2, beyondM: beyondM + widthM(vinyl50) })
      .plan(8, 'half laps of vinyl, a quarter of the mastic');
  },
};
