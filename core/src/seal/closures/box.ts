import { figure } from '../../quantity/index.js';
import { widestOf, type Closure } from './closure.js';

/** A box which may lie in earth, with glands. Handbook of the trade, 6; common practice, no source. */
export const box: Closure = {
  id: 'box',
  name: 'box rated for earth',
  plan: (profile) => {
    const jacketMm = Math.ceil(Math.min(...profile.map(({ diameterM }) => diameterM)) * 1000);
    const bodyMm = Math.ceil(widestOf(profile) * 1000);
    return {
      materials: [
        {
          id: `ground-box-${jacketMm}mm`,
          name: `box rated for earth, two glands for ${jacketMm} mm, ${bodyMm} mm clear inside`,
          kind: 'splice kit',
          unit: 'piece',
          amount: figure(1, 'count', 'one for the joint'),
        },
      ],
      minutes: figure(25, 'minute', 'common practice, no source', 10),
      lowestC: -5,
      steps: [
        {
          title: 'Glands on the cables',
          text: 'A box rated for lying in earth, with glands of the cables’ own diameters; the joint lies above its lowest gland.',
        },
        {
          title: 'Desiccant in',
          text: 'Joint tight and dry before the box is closed; a bag of desiccant, changed at each inspection.',
        },
        {
          title: 'Close and mark it',
          text: 'Mark the box on the plan and on a label at both ends of the cable.',
        },
      ],
    };
  },
};
