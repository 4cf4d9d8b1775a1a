import { schedule, type DayToPlan, type Schedule } from '@kobran/core';
import { proxy } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { useBackground, type Job } from './useBackground.js';

/** A plan with what it was made for: what comes back from a thread is a copy. */
interface FoundPlan {
  wish: DayToPlan;
  plan: Schedule;
}

const plan: Job<FoundPlan, FoundPlan, DayToPlan> = async (worker, wish, tell) => {
  const answer = await worker.day(
    wish,
    proxy((found: Schedule) => tell({ wish, plan: found })),
  );
  return { wish, plan: answer };
};

/** What is being done for a better plan. */
export type PlanSearch = 'searching' | 'proving' | 'over';

export interface DayPlan {
  plan: Schedule;
  search: PlanSearch;
  /** Ends the search with what there is. */
  stop: () => void;
}

/** The plan of a day, anew for every other wish: a first one at once, a better one as soon as it is found, and then a proof where there is one. */
export function useDayPlan(wish: DayToPlan): DayPlan;
/** The same of a day which is looked at now and then: nothing for no wish. */
export function useDayPlan(wish: DayToPlan | undefined): DayPlan | undefined;
export function useDayPlan(wish: DayToPlan | undefined): DayPlan | undefined {
  const { state, start, cancel } = useBackground(plan);
  const first = useMemo(() => wish && schedule(wish.tasks, wish.setup, { ...wish, tries: 0 }), [wish]);
  const [found, setFound] = useState<FoundPlan>();
  const news = state.kind === 'done' ? state.answer : state.kind === 'working' ? state.news : undefined;
  if (news && news !== found) setFound(news);
  const isOpen = first !== undefined && !first.proved;
  useEffect(() => {
    if (isOpen && wish) start(wish);
  }, [wish, isOpen, start]);
  if (!first || !wish) return undefined;
  const better = found && sameWish(found.wish, wish) ? found.plan : undefined;
  const isWorking = isOpen && state.kind === 'working';
  return {
    plan: better ?? first,
    search: !isWorking ? 'over' : better ? 'proving' : 'searching',
    stop: cancel,
  };
}

const sameWish = (one: DayToPlan, other: DayToPlan): boolean => JSON.stringify(one) === JSON.stringify(other);
