import { Layers } from '../plan.js';
import { fittingSleeve, type SealSystem } from './system.js';

/** Heat-shrink lined with adhesive; without the adhesive it is no seal. Handbook of the trade, 6. */
export const adhesiveShrink: SealSystem = {
  id: 'adhesive shrink',
  name: 'adhesive-lined heat-shrink',
  places: ['sheltered', 'outdoor', 'salt', 'ice'],
  slidOnBefore: true,
  years: 15,
  plan: (object, { sleeves }) => {
    const sleeve = fittingSleeve(sleeves, 'adhesive shrink', object);
    return sleeve && new Layers(object).sleeve(sleeve).plan(10, 'size range of the sleeve');
  },
};
