import { proveDay, schedule, type DayToPlan, type Schedule } from '@kobran/core';
import { loadSolver } from './loadSolver.js';

/** Orders which are tried: about a second for ninety tasks. */
const TRIES = 600;
/** So long the solver looks for a proof, or for a shorter day, s. */
const PROOF_S = 20;

export const dayWork = {
  /** Plans a day in a thread of its own, tells the plan it finds, and then lets a solver prove or shorten it; ending the worker ends both. */
  async day(wish: DayToPlan, tell: (found: Schedule) => void): Promise<Schedule> {
    const { tasks, setup, nowMin, underWay } = wish;
    const plan = schedule(tasks, setup, { nowMin, underWay, tries: TRIES });
    if (plan.proved) return plan;
    tell(plan);
    const solve = await loadSolver(() => undefined);
    return proveDay(plan, wish, solve, PROOF_S);
  },
};
