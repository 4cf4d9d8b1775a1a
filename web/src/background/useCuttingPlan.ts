import type { CuttingPlan, PlanLimits, Reel, WantedPiece } from '@kobran/core';
import { useBackground, type BackgroundWork, type Job, type Work } from './useBackground.js';
import type { PlanNews } from './planWork.js';

export type PlanState = Work<PlanNews, CuttingPlan>;

interface PlanWish {
  wanted: readonly WantedPiece[];
  reels: readonly Reel[];
  limits: PlanLimits;
}

const plan: Job<PlanNews, CuttingPlan, PlanWish> = (worker, { wanted, reels, limits }, tell) =>
  worker.plan(wanted, reels, limits, tell);

/** Works a cutting plan out in a worker. */
export const useCuttingPlan = (): BackgroundWork<PlanNews, CuttingPlan, PlanWish> => useBackground(plan);
