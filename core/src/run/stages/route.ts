import { formatLength } from '../../quantity/index.js';
import { factAbout } from '../facts/facts.js';
import type { StageRule } from './stage.js';

/** The way from the radio to the antenna. */
export const route: StageRule = {
  id: 'route',
  name: 'Route',
  look({ design: { legs }, facts }) {
    if (legs.length === 0)
      return { state: 'not started', detail: 'no legs yet', next: 'Enter the legs of the route' };
    return {
      state: factAbout(facts, 'installed') ? 'done' : 'in work',
      detail: `${legs.length} ${legs.length === 1 ? 'leg' : 'legs'}`,
      next: 'Pull the run along its legs',
    };
  },
  headline({ route: { total }, totalM }, { legs }, units) {
    if (legs.length === 0) return 'No route yet: where does the run go?';
    const say = (metres: number): string => formatLength(metres, { system: units });
    return `The route asks for ${say(total.value)}; the run is ${say(totalM)}`;
  },
};
