import { figure } from '../../quantity/index.js';
import type { Closure } from './closure.js';

/** A drained pit: the joint hangs in it above the water. Handbook of the trade, 6; common practice, no source. */
export const pit: Closure = {
  id: 'pit',
  name: 'drained pit',
  plan: () => ({
    materials: [],
    minutes: figure(20, 'minute', 'common practice, no source', 8),
    lowestC: 0,
    steps: [
      {
        title: 'Hang it above the water',
        text: 'Set the pit so that its floor drains: the joint hangs above the highest water, cables enter from below or from the side.',
      },
      {
        title: 'Sleeve or rubber tape',
        text: 'Joint tight and dry, grease on the threads only, adhesive-lined sleeve or rubber tape over it; no UV layer is needed there.',
      },
      {
        title: 'Close and mark it',
        text: 'Close the lid, mark the pit on the plan and on a label at both ends of the cable.',
      },
    ],
  }),
};
