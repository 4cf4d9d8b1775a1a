import { tapes } from '../../catalog/index.js';
import { Layers } from '../plan.js';
import { opened, vinylMethod, widthM, type SealSystem } from './system.js';

/** Mastic lies with so little over itself. Common practice, no source. */
const MASTIC_LAP = 1 / 4;

/** Vinyl, butyl mastic, vinyl. Handbook of the trade, 6. */
export const mastic: SealSystem = {
  id: 'mastic',
  name: 'three layers: vinyl, butyl mastic, vinyl',
  why: 'Fills deep steps and stays soft, so it suits big connectors, ice and many years; thick, and it needs the vinyl under it to come off.',
  places: ['outdoor', 'salt', 'ice'],
  slidOnBefore: false,
  opening: opened.tape,
  years: 15,
  after: [
    'Press the mastic with the hand until no edge shows through the vinyl.',
    'A UV-stable tie over the tape’s end.',
  ],
  plan: (object, { advance }) => {
    const { mastic63, vinyl19, vinyl50 } = tapes;
    const beyondM = widthM(vinyl50) / 2;
    return new Layers(object)
      .tape('Under layer of vinyl', vinyl19, { ...vinylMethod, advance, beyondM })
      .tape('Mastic', mastic63, {
        stretch: 1,
        lap: MASTIC_LAP,
        advance: 'along the axis',
        beyondM: beyondM + 0.01,
      })
      .tape('UV layer', vinyl50, { ...vinylMethod, advance, passes: 2, beyondM: beyondM + widthM(vinyl50) })
      .plan(8, 'half laps of vinyl, a quarter of the mastic');
  },
};
