import { Layers } from '../plan.js';
import { fittingSleeve, type SealSystem } from './system.js';

/** A rubber sleeve on a core which is pulled out. Handbook of the trade, 6. */
export const coldShrink: SealSystem = {
  id: 'cold shrink',
  name: 'cold-shrink sleeve',
  places: ['sheltered', 'outdoor', 'salt', 'ice'],
  slidOnBefore: true,
  years: 20,
  plan: (object, { sleeves }) => {
    const sleeve = fittingSleeve(sleeves, 'cold shrink', object);
    return sleeve && new Layers(object).sleeve(sleeve).plan(6, 'size range of the sleeve');
  },
};
