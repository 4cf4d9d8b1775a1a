import { formatLength } from '../../quantity/index.js';
import { progress, type StageRule } from './stage.js';

/** Every joint the weather reaches, weatherproofed. */
export const seal: StageRule = {
  id: 'seal',
  name: 'Seal',
  look({ body: { wraps } }) {
    const done = wraps.filter(({ sealed }) => sealed).length;
    const open = wraps.find(({ sealed }) => !sealed);
    return {
      state: progress(done, wraps.length),
      detail: wraps.length === 0 ? 'nothing to seal' : `${done} of ${wraps.length} joints`,
      next: open ? `Wrap J${open.number}` : '',
    };
  },
  headline({ wraps }, _, units) {
    const open = wraps.filter(({ sealed }) => !sealed);
    if (wraps.length === 0) return 'Every joint stays dry: nothing to seal';
    if (open.length === 0) return 'Every exposed joint is sealed';
    const tapeM = open.reduce((sum, { wrap }) => sum + wrap.rubber.value, 0);
    return `${open.length} ${open.length === 1 ? 'joint' : 'joints'} to seal, ${formatLength(tapeM, { system: units })} of rubber tape`;
  },
};
