import { deviceOn, type ReadBench } from '@kobran/core';
import { noiseFrom } from '../chance.js';
import { nr3 } from '../scpi/block.js';
import type { InstrumentModel } from '../scpi/instrument.js';

/** Highest resistance it shows, ohm; above is over range. */
const OVER_OHM = 2e9;
/** Leads and clips, ohm, until they are zeroed. */
const LEADS_OHM = 0.18;
/** Common practice, no source. */
const ACCURACY = 0.005;
const DIGIT_OHM = 0.001;

/** An ohm-meter clipped to pin and shell of the near end. */
export function multimeter(bench: () => ReadBench, seed: number): InstrumentModel {
  const noise = noiseFrom(seed + 4);
  const gain = 1 + ACCURACY * noiseFrom(seed + 5).uniform();
  let zeroed = 0;
  const leads = (): number => LEADS_OHM + 2 * DIGIT_OHM * noise.normal();
  return {
    identity: ['Kobran', 'SIM-OHM-1', `M${seed}`, '1.0'],
    reset: () => {
      zeroed = 0;
    },
    settled: () => Promise.resolve(),
    commands: [
      {
        // The leads are held together for it.
        header: 'CALibration:ZERO',
        set: () => {
          zeroed = leads();
        },
      },
      {
        header: 'MEASure:RESistance',
        ask: () => {
          const ohm = (deviceOn(bench()).dcOhm + leads()) * gain - zeroed;
          return nr3(ohm > OVER_OHM ? Infinity : Math.max(0, ohm));
        },
      },
    ],
  };
}
