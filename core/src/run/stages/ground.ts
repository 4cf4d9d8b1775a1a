import { entryM } from '../../route/index.js';
import { arrestersOf } from '../design/lookups.js';
import { factAbout } from '../facts/facts.js';
import type { StageRule } from './stage.js';

/** The arrester at the entry and its way to the ground rod. */
export const ground: StageRule = {
  id: 'ground',
  name: 'Ground',
  look({ design, facts, body }) {
    const outdoors = entryM(body.route.spans) !== undefined;
    if (arrestersOf(design).length === 0)
      return {
        state: outdoors ? 'not started' : 'done',
        detail: outdoors ? 'no arrester' : 'no entry to protect',
        next: 'Choose an arrester for the entry',
      };
    const done = factAbout(facts, 'grounded') !== undefined;
    return {
      state: done ? 'done' : 'in work',
      detail: done ? 'arrester grounded' : 'arrester chosen',
      next: 'Ground the arrester to the entry ground rod',
    };
  },
  headline({ tube, fittedArrester }, design) {
    if (fittedArrester && !fittedArrester.tubeChangeable) return `${fittedArrester.name}: it has no tube`;
    if (!tube) return 'Receive only: the lowest tube will do';
    if (tube.tubeV === undefined) return 'No gas tube holds this run';
    const [fitted] = arrestersOf(design);
    return `This run takes a ${tube.tubeV} V tube${fitted ? `; ${fitted.tubeV} V is fitted` : ''}`;
  },
};
