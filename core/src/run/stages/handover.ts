import { factAbout } from '../facts/facts.js';
import type { StageRule } from './stage.js';

/** Signed off, with its record. */
export const handover: StageRule = {
  id: 'handover',
  name: 'Hand over',
  look({ facts, waiting }) {
    if (factAbout(facts, 'handed over')) return { state: 'done', detail: 'handed over', next: '' };
    return {
      state: waiting === 0 ? 'in work' : 'not started',
      detail: waiting === 0 ? 'ready' : `${waiting} ${waiting === 1 ? 'stage' : 'stages'} to go`,
      next: 'Export the job file and sign off',
    };
  },
  headline: ({ headline }) => headline,
};
