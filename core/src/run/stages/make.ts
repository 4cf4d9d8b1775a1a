import { progress, type StageRule } from './stage.js';

/** The ends, by their cards. */
export const make: StageRule = {
  id: 'make',
  name: 'Make',
  look({ body: { ends } }) {
    const made = ends.filter((end) => end.made).length;
    const waiting = ends.filter((end) => !end.made);
    // What leads through a duct comes last, and after the pull.
    const open = waiting.find(({ afterPull }) => !afterPull) ?? waiting.at(0);
    const duct = open?.afterPull;
    return {
      state: progress(made, ends.length),
      detail: ends.length === 0 ? 'no ends to make' : `${made} of ${ends.length} ends`,
      next: !open
        ? ''
        : duct && !duct.pulled
          ? `Pull it through ${duct.leg.name}, then make ${open.name}`
          : `Make ${open.name}`,
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
