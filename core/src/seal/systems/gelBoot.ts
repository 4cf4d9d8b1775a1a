import { sleeves } from '../../catalog/index.js';
import { Layers } from '../plan.js';
import { fittingSleeve, type SealSystem } from './system.js';

/** A shell with gel which closes round the joint. Handbook of the trade, 6. */
export const gelBoot: SealSystem = {
  id: 'gel boot',
  name: 'gel boot (clam shell)',
  why: 'Opens and closes by hand for measuring; bulky, and it must hang so that water runs off its seam.',
  places: ['sheltered', 'outdoor', 'salt'],
  slidOnBefore: false,
  opening: [
    'Release its latches, open it, and wipe the gel off the threads. Look at the gel: one with grit in it is replaced.',
  ],
  years: 10,
  after: ['Close it until every latch clicks, its seam downwards.'],
  plan: (object) => {
    const sleeve = fittingSleeve(sleeves, 'gel boot', object);
    return sleeve && new Layers(object).sleeve(sleeve).plan(4, 'size range of the boot');
  },
};
