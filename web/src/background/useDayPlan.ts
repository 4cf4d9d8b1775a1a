import { schedule, type DaySetup, type Schedule, type Task } from '@kobran/core';
import { useEffect, useMemo } from 'react';
import { useBackground, type Job } from './useBackground.js';

interface DayWish {
  tasks: readonly Task[];
  setup: DaySetup;
  nowMin: number;
}

/** Orders which are tried beside the page: about a second for ninety tasks. */
const TRIES = 600;

const plan: Job<never, { wish: DayWish; plan: Schedule }, DayWish> = async (worker, wish) => ({
  wish,
  plan: await worker.day(wish.tasks, wish.setup, { nowMin: wish.nowMin, tries: TRIES }),
});

/** The plan of a day: a first one at once, a better one as soon as it is found. */
export function useDayPlan(
  tasks: readonly Task[],
  setup: DaySetup,
  nowMin: number,
): { plan: Schedule; searching: boolean } {
  const { state, start } = useBackground(plan);
  const wish = useMemo(() => ({ tasks, setup, nowMin }), [tasks, setup, nowMin]);
  const first = useMemo(() => schedule(tasks, setup, { nowMin, tries: 0 }), [tasks, setup, nowMin]);
  const isOpen = !first.proved || first.left.length > 0;
  useEffect(() => {
    if (isOpen) start(wish);
  }, [wish, isOpen, start]);
  const better = state.kind === 'done' && sameWish(state.answer.wish, wish) ? state.answer.plan : undefined;
  return { plan: better ?? first, searching: isOpen && state.kind === 'working' };
}

/** What comes back from a thread is a copy. */
const sameWish = (one: DayWish, other: DayWish): boolean => JSON.stringify(one) === JSON.stringify(other);
