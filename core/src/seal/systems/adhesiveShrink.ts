import { sleeves } from '../../catalog/index.js';
import { Layers } from '../plan.js';
import { fittingSleeve, type SealSystem } from './system.js';

/** Heat-shrink lined with adhesive; without the adhesive it is no seal. Handbook of the trade, 6. */
export const adhesiveShrink: SealSystem = {
  id: 'adhesive shrink',
  name: 'adhesive-lined heat-shrink',
  why: 'Tight and tidy where heat may be used; it goes onto the cable before the connector is coupled, and does not come off whole.',
  places: ['sheltered', 'outdoor', 'salt', 'ice'],
  slidOnBefore: true,
  opening: [
    'Warm it, cut it lengthwise on the side away from the cable, and peel it off while it is warm.',
    'Take the rest of the adhesive off the threads with solvent, away from the dielectric.',
  ],
  years: 15,
  after: [
    'Heat it from its middle towards both ends, all round, until adhesive shows at both rims. Foam dielectric softens: keep the heat moving.',
    'Let it cool before the cable is moved.',
  ],
  plan: (object) => {
    const sleeve = fittingSleeve(sleeves, 'adhesive shrink', object);
    return sleeve && new Layers(object).sleeve(sleeve).plan(10, 'size range of the sleeve');
  },
};
