import { Layers, type TapedExposure } from '../plan.js';
import { lapOf, stretchOf } from '../tape.js';
import { vinylMethod, widthM, type SealSystem } from './system.js';

/** Rubber passes by exposure: one sheltered, two as standard, three for ice and salt. Common practice, no source. */
export const passesFor: Record<TapedExposure, number> = { sheltered: 1, outdoor: 2, salt: 3, ice: 3 };

/** Self-fusing rubber, and vinyl against the sun over it. Handbook of the trade, 6. */
export const rubberAndVinyl: SealSystem = {
  id: 'rubber and vinyl',
  name: 'self-fusing rubber and UV vinyl',
  places: ['sheltered', 'outdoor', 'salt', 'ice'],
  slidOnBefore: false,
  years: 10,
  plan: (object, { stretch, lap, advance, passes, courtesy, tapes }) => {
    const { fusing: rubber, vinyl } = tapes;
    const beyondM = widthM(rubber);
    const layers = new Layers(object);
    if (courtesy)
      layers.tape('Courtesy layer', vinyl, {
        ...vinylMethod,
        advance,
        beyondM: beyondM / 2,
        stickyOut: true,
      });
    layers.tape('Rubber', rubber, {
      passes: passes ?? passesFor[object.exposure],
      stretch: Math.min(Math.max(stretchOf[stretch], rubber.stretch[0]), rubber.stretch[1]),
      lap: lapOf[lap],
      advance,
      beyondM,
    });
    // One which stands the sun by itself needs nothing over it.
    if (!rubber.uv)
      layers.tape('UV layer', vinyl, { ...vinylMethod, advance, beyondM: beyondM + widthM(vinyl) });
    return layers.plan(6, `${lap === 'half' ? 'half' : 'two-thirds'} lap ${advance}, constant volume`);
  },
};
