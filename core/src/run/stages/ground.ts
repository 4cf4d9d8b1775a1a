import { isOutdoors } from '../../route/index.js';
import { arrestersOf } from '../design/lookups.js';
import { factAbout } from '../facts/facts.js';
import type { StageRule } from './stage.js';

/** The arrester at the entry and its way to the ground rod. */
export const ground: StageRule = {
  id: 'ground',
  name: 'Ground',
  look({ design, facts, body }) {
    // Not known is not done.
    if (design.legs.length === 0)
      return {
        state: 'not started',
        detail: 'route not known',
        next: 'Enter the route: where does the run go outdoors?',
      };
    if (arrestersOf(design).length === 0) {
      const outdoors = body.route.spans.filter(({ zone }) => isOutdoors(zone));
      if (outdoors.length === 0) return { state: 'done', detail: 'stays indoors', next: '' };
      const starts = outdoors[0].fromM === 0;
      return {
        state: 'not started',
        detail: starts ? 'starts outdoors, no arrester' : 'no arrester',
        next: starts ? 'Choose an arrester for where the run starts' : 'Choose an arrester for the entry',
      };
    }
    const done = factAbout(facts, 'grounded') !== undefined;
    return {
      state: done ? 'done' : 'in work',
      detail: done ? 'arrester grounded' : 'arrester chosen',
      next: 'Ground the arrester to the entry ground rod',
    };
  },
  headline({ tube, fittedArrester }, design) {
    if (design.legs.length === 0) return 'No route yet: where does the run go outdoors?';
    if (fittedArrester && !fittedArrester.tubeChangeable) return `${fittedArrester.name}: it has no tube`;
    if (!tube) return 'Receive only: the lowest tube will do';
    if (tube.tubeV === undefined) return 'No gas tube holds this run';
    const [fitted] = arrestersOf(design);
    return `Fit a ${tube.tubeV} V tube${fitted ? `; ${fitted.tubeV} V is fitted` : ''}`;
  },
};
