import { sleeves } from '../../catalog/index.js';
import { Layers } from '../plan.js';
import { fittingSleeve, type SealSystem } from './system.js';

/** A rubber sleeve on a core which is pulled out. Handbook of the trade, 6. */
export const coldShrink: SealSystem = {
  id: 'cold shrink',
  name: 'cold-shrink sleeve',
  why: 'Quick, no flame, the same in every hand; it goes onto the cable before the connector is coupled, and is cut off to open.',
  places: ['sheltered', 'outdoor', 'salt', 'ice'],
  slidOnBefore: true,
  opening: [
    'Cut it lengthwise on the side away from the cable, blade flat. A new one closes the joint again.',
  ],
  years: 20,
  after: ['Pull the core out evenly, turn by turn, from the lower end upwards.'],
  plan: (object) => {
    const sleeve = fittingSleeve(sleeves, 'cold shrink', object);
    return sleeve && new Layers(object).sleeve(sleeve).plan(6, 'size range of the sleeve');
  },
};
