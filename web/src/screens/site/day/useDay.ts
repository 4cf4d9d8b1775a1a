import type { JobDocument } from '@kobran/contract';
import {
  leftAfter,
  noFacts,
  planFrom,
  siteTasks,
  timedTasks,
  underWay,
  usualDay,
  type DaySetup,
  type DayToPlan,
  type Facts,
  type Schedule,
  type Site,
  type Task,
} from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useDayPlan, type DayPlan, type PlanSearch } from '../../../background/useDayPlan.js';
import { shopLogOf } from '../../../store/queries.js';
import { useCatalog } from '../../../store/Shop.js';
import { useSheetOf, useSurveyedRuns } from '../useSiteSheet.js';

/** A day of a site: what is to be done, who is there, and the plan which follows. */
export interface Day {
  /** Which of the days that are planned, from 0. */
  n: number;
  /** All of them, this one among them. */
  days: readonly [DaySetup, ...DaySetup[]];
  tasks: readonly Task[];
  setup: DaySetup;
  plan: Schedule;
  search: PlanSearch;
  stopSearch: () => void;
  /** What was read and done, by run. */
  facts: ReadonlyMap<string, Facts>;
}

/** A crew of one, where the shop has not said who works. */
const SOMEBODY = 'Installer';

/**
 * The plan of a site’s day, from what its runs and its ground still want.
 *
 * @param wanted which of the days that are planned, from 0: what does not go into one is planned for the next
 */
export function useDay(job: JobDocument, site: Site, wanted: number): Day {
  const runs = useSurveyedRuns(job, site);
  const sheet = useSheetOf(job, site, runs);
  const catalog = useCatalog();
  const { data: log } = useQuery(shopLogOf);
  const tasks = useMemo(() => {
    // Without the shop’s log, what this site alone has taught.
    const timed = log?.times ?? runs.flatMap(({ facts }) => timedTasks(facts));
    return siteTasks(runs, sheet, { catalog, practice: job.practice, timed });
  }, [runs, sheet, job.practice, catalog, log]);
  const { crew } = job.practice;
  const days = useMemo(
    (): readonly [DaySetup, ...DaySetup[]] => [
      site.day ?? usualDay(crew && crew.length > 0 ? crew : [SOMEBODY]),
      ...(site.nextDays ?? []),
    ],
    [site.day, site.nextDays, crew],
  );
  const n = Number.isInteger(wanted) ? Math.min(Math.max(0, wanted), days.length - 1) : 0;
  const [setup] = days;
  const minute = useMinute();
  const nowMin = useMemo(
    () =>
      planFrom(
        setup,
        runs.flatMap(({ facts }) => facts.map(({ at }) => at)),
        minute,
      ),
    [setup, runs, minute],
  );
  const facts = useMemo(() => new Map(runs.map((run) => [run.id, run.facts])), [runs]);
  const wish = useMemo(
    (): DayToPlan => ({
      tasks,
      setup,
      nowMin,
      underWay: underWay(tasks, (runId) => facts.get(runId) ?? noFacts, minute),
    }),
    [tasks, setup, nowMin, facts, minute],
  );
  const first = useDayPlan(wish);
  const second = usePlanAfter(first, n >= 1 ? days[1] : undefined);
  const third = usePlanAfter(second?.day, n >= 2 ? days[2] : undefined);
  const fourth = usePlanAfter(third?.day, n >= 3 ? days[3] : undefined);
  const shown = [second, third, fourth][n - 1];
  const { plan, search, stop } = shown?.day ?? first;
  return {
    n,
    days,
    tasks: shown?.tasks ?? tasks,
    setup: days[n],
    plan,
    search,
    stopSearch: stop,
    facts,
  };
}

/** The plan of a day with what is left of the one before; nothing where no such day is looked at. */
function usePlanAfter(
  before: DayPlan | undefined,
  setup: DaySetup | undefined,
): { day: DayPlan; tasks: readonly Task[] } | undefined {
  const plan = before?.plan;
  const wish = useMemo(
    (): DayToPlan | undefined =>
      plan && setup
        ? { tasks: leftAfter(plan), setup, nowMin: planFrom(setup, [], new Date(0)), underWay: [] }
        : undefined,
    [plan, setup],
  );
  const day = useDayPlan(wish);
  return day && wish ? { day, tasks: wish.tasks } : undefined;
}

/** So often the plan looks at the clock, ms. */
const LOOK_MS = 5 * 60_000;

/** This moment, every few minutes anew. */
function useMinute(): Date {
  const [minute, setMinute] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => setMinute(new Date()), LOOK_MS);
    return () => clearInterval(timer);
  }, []);
  return minute;
}
