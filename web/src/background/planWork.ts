import {
  cuttingPlan,
  type CuttingPlan,
  type PlanLimits,
  type PlanProgress,
  type Reel,
  type WantedPiece,
} from '@kobran/core';
import { loadSolver, type Proving } from './loadSolver.js';

/** What the page is told while a plan is worked out. */
export type PlanNews = PlanProgress | ({ goal: 'proving' } & Proving);

export const planWork = {
  /** Works in a thread of its own, so that the page stays at hand; ending the worker cancels it. */
  async plan(
    wanted: readonly WantedPiece[],
    reels: readonly Reel[],
    limits: PlanLimits,
    tell: (news: PlanNews) => void,
  ): Promise<CuttingPlan> {
    const solve = await loadSolver((proving) => tell({ goal: 'proving', ...proving }));
    return cuttingPlan(wanted, reels, limits, solve, tell);
  },
};
