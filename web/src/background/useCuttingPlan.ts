import type { CuttingPlan, PlanLimits, Reel, WantedPiece } from '@kobran/core';
import { useSolving, type Solver, type Solving } from './useSolving.js';
import type { PlanNews } from './planWork.js';

export type PlanState = Solving<PlanNews, CuttingPlan>;

interface PlanWish {
  wanted: readonly WantedPiece[];
  reels: readonly Reel[];
  limits: PlanLimits;
}

const plan: Parameters<typeof useSolving<PlanNews, CuttingPlan, PlanWish>>[0] = (
  worker,
  { wanted, reels, limits },
  tell,
) => worker.plan(wanted, reels, limits, tell);

/** Works a cutting plan out in a worker. */
export const useCuttingPlan = (): Solver<PlanNews, CuttingPlan, PlanWish> =>
  useSolving<PlanNews, CuttingPlan, PlanWish>(plan);
