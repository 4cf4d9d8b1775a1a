import { Layers } from '../plan.js';
import { fittingSleeve, type SealSystem } from './system.js';

/** A shell with gel which closes round the joint. Handbook of the trade, 6. */
export const gelBoot: SealSystem = {
  id: 'gel boot',
  name: 'gel boot (clam shell)',
  places: ['sheltered', 'outdoor', 'salt'],
  slidOnBefore: false,
  years: 10,
  plan: (object, { sleeves }) => {
    const sleeve = fittingSleeve(sleeves, 'gel boot', object);
    return sleeve && new Layers(object).sleeve(sleeve).plan(4, 'size range of the boot');
  },
};
