import type { JobDocument } from '@kobran/contract';
import {
  factsOf,
  noFacts,
  planFrom,
  siteTasks,
  underWay,
  usualDay,
  type DaySetup,
  type Facts,
  type Schedule,
  type Site,
  type Task,
  type TimedTask,
} from '@kobran/core';
import { useEffect, useMemo, useState } from 'react';
import { useDayPlan, type PlanSearch } from '../../../background/useDayPlan.js';
import { useSheetOf, useSurveyedRuns } from '../useSiteSheet.js';

/** A day of a site: what is to be done, who is there, and the plan which follows. */
export interface Day {
  tasks: Task[];
  setup: DaySetup;
  plan: Schedule;
  search: PlanSearch;
  stopSearch: () => void;
  /** What was read and done, by run. */
  facts: ReadonlyMap<string, Facts>;
}

/** A crew of one, where the shop has not said who works. */
const SOMEBODY = 'Installer';

/** The plan of a site’s day, from what its runs and its ground still want. */
export function useDay(job: JobDocument, site: Site): Day {
  const runs = useSurveyedRuns(job, site);
  const sheet = useSheetOf(job, site, runs);
  const tasks = useMemo(() => {
    const timed = runs.flatMap(({ facts }) =>
      factsOf(facts, 'task done').flatMap(({ learnedBy, place, by, minutes }): TimedTask[] =>
        minutes === undefined ? [] : [{ learnedBy, place, by, minutes }],
      ),
    );
    return siteTasks(runs, sheet, job.practice, timed);
  }, [runs, sheet, job.practice]);
  const { crew } = job.practice;
  const setup = useMemo(
    () => site.day ?? usualDay(crew && crew.length > 0 ? crew : [SOMEBODY]),
    [site.day, crew],
  );
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
    () => ({
      tasks,
      setup,
      nowMin,
      underWay: underWay(tasks, (runId) => facts.get(runId) ?? noFacts, minute),
    }),
    [tasks, setup, nowMin, facts, minute],
  );
  const { plan, search, stop } = useDayPlan(wish);
  return { tasks, setup, plan, search, stopSearch: stop, facts };
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
