import type { CuttingPlan, PlanLimits, Reel, WantedPiece } from '@kobran/core';
import { useSolving, type Solver, type Solving } from '../solving/useSolving.js';
import type { PlanNews, PlanWorker } from './plan.worker.js';

export type PlanState = Solving<PlanNews, CuttingPlan>;

interface PlanWish {
  wanted: readonly WantedPiece[];
  reels: readonly Reel[];
  limits: PlanLimits;
}

const open = (): Worker => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });

const plan: Parameters<typeof useSolving<PlanWorker, PlanNews, CuttingPlan, PlanWish>>[1] = (
  worker,
  { wanted, reels, limits },
  tell,
) => worker.plan(wanted, reels, limits, tell);

/** Works a cutting plan out in a worker. */
export const useCuttingPlan = (): Solver<PlanNews, CuttingPlan, PlanWish> =>
  useSolving<PlanWorker, PlanNews, CuttingPlan, PlanWish>(open, plan);
