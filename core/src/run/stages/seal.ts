import { formatLength } from '../../quantity/index.js';
import { progress, type StageRule } from './stage.js';

/** Every joint the weather reaches, weatherproofed. */
export const seal: StageRule = {
  id: 'seal',
  name: 'Seal',
  look({ design, body: { wraps } }) {
    // Without a route nobody knows which joints the weather reaches.
    if (design.legs.length === 0)
      return {
        state: 'not started',
        detail: 'route not known',
        next: 'Enter the route: which joints are outdoors?',
      };
    const done = wraps.filter(({ sealed }) => sealed).length;
    const open = wraps.find(({ sealed }) => !sealed);
    return {
      state: progress(done, wraps.length),
      detail: wraps.length === 0 ? 'nothing to seal' : `${done} of ${wraps.length} joints`,
      next: open ? `Seal ${open.name}` : '',
    };
  },
  headline({ wraps }, { legs }, units) {
    if (legs.length === 0) return 'No route yet: which joints are outdoors?';
    const open = wraps.filter(({ sealed }) => !sealed);
    if (wraps.length === 0) return 'Every joint stays dry: nothing to seal';
    if (open.length === 0) return 'Every exposed joint is sealed';
    const rubberM = open
      .flatMap(({ wrap }) => wrap?.layers ?? [])
      .reduce((sum, { tape }) => sum + (tape?.tape.kind === 'rubber' ? tape.tapeM : 0), 0);
    const tape = rubberM > 0 ? `, ${formatLength(rubberM, { system: units })} of rubber tape` : '';
    return `${open.length} ${open.length === 1 ? 'joint' : 'joints'} to seal${tape}`;
  },
};
