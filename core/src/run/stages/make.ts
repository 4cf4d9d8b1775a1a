import { progress, type StageRule } from './stage.js';

/** The ends, by their cards. */
export const make: StageRule = {
  id: 'make',
  name: 'Make',
  look({ body: { ends } }) {
    const made = ends.filter((end) => end.made).length;
    const open = ends.find((end) => !end.made);
    return {
      state: progress(made, ends.length),
      detail: ends.length === 0 ? 'no ends to make' : `${made} of ${ends.length} ends`,
      next: open ? `Make ${open.name}` : '',
    };
  },
  headline({ ends }) {
    const open = ends.filter(({ made }) => !made);
    if (ends.length === 0) return 'No ends to make';
    if (open.length === 0) return `All ${ends.length} ends are made`;
    const minutes = open.reduce((sum, { part }) => sum + part.minutes, 0);
    return `${open.length} of ${ends.length} ends to make, about ${minutes} minutes`;
  },
};
