import {
  cuttingPlan,
  highsSolver,
  type CuttingPlan,
  type PlanLimits,
  type PlanProgress,
  type Reel,
  type WantedPiece,
} from '@kobran/core';
import { expose } from 'comlink';
import loadHighs, { type Highs } from 'highs';
import wasmUrl from 'highs/runtime?url';

/** What the page is told while a plan is worked out. */
export type PlanNews = PlanProgress | { goal: 'proving'; found: number; bound: number };

const worker = {
  /** Works in a thread of its own, so that the page stays at hand; ending the worker cancels it. */
  async plan(
    wanted: readonly WantedPiece[],
    reels: readonly Reel[],
    limits: PlanLimits,
    tell: (news: PlanNews) => void,
  ): Promise<CuttingPlan> {
    const highs: Highs = await loadHighs({ locateFile: () => wasmUrl });
    const solve = highsSolver(highs, (found, bound) => tell({ goal: 'proving', found, bound }));
    return cuttingPlan(wanted, reels, limits, solve, tell);
  },
};

export type PlanWorker = typeof worker;

expose(worker);
