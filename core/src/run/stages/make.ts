import { endsLeft, type EndSheet } from '../work/work.js';
import { progress, type StageRule } from './stage.js';

/** Ends with the same on other pieces: how many there are, and how many are made. */
const countOf = (ends: readonly EndSheet[]): { made: number; all: number } => {
  const all = ends.reduce((sum, { copies }) => sum + copies, 0);
  return { all, made: all - ends.reduce((sum, end) => sum + endsLeft(end), 0) };
};

/** The ends, by their cards. */
export const make: StageRule = {
  id: 'make',
  name: 'Make',
  look({ body: { ends } }) {
    const { made, all } = countOf(ends);
    const waiting = ends.filter((end) => endsLeft(end) > 0);
    // What leads through a duct comes last, and after the pull.
    const open = waiting.find(({ afterPull }) => !afterPull) ?? waiting.at(0);
    const duct = open?.afterPull;
    return {
      state: progress(made, all),
      detail: all === 0 ? 'no ends to make' : `${made} of ${all} ends`,
      next: !open
        ? ''
        : duct && !duct.pulled
          ? `Pull it through ${duct.leg.name}, then make ${open.name}`
          : `Make ${open.name}`,
    };
  },
  headline({ ends }) {
    const { made, all } = countOf(ends);
    if (all === 0) return 'No ends to make';
    if (made === all) return `All ${all} ends are made`;
    const minutes = ends.reduce((sum, end) => sum + endsLeft(end) * end.part.minutes, 0);
    return `${all - made} of ${all} ends to make, about ${minutes} minutes`;
  },
};
