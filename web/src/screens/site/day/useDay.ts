import type { JobDocument } from '@kobran/contract';
import {
  factsOf,
  siteTasks,
  usualDay,
  type DaySetup,
  type Schedule,
  type Site,
  type Task,
  type TimedTask,
} from '@kobran/core';
import { useMemo } from 'react';
import { useDayPlan } from '../../../background/useDayPlan.js';
import { useSheetOf, useSurveyedRuns } from '../useSiteSheet.js';

/** A day of a site: what is to be done, who is there, and the plan which follows. */
export interface Day {
  tasks: Task[];
  setup: DaySetup;
  plan: Schedule;
  searching: boolean;
}

/** A crew of one, where the shop has not said who works. */
const SOMEBODY = 'Installer';

/** The plan of a site’s day, from what its runs and its ground still want. */
export function useDay(job: JobDocument, site: Site): Day {
  const runs = useSurveyedRuns(job, site);
  const sheet = useSheetOf(job, site, runs);
  const tasks = useMemo(() => {
    const timed = job.runs.flatMap(({ facts }) =>
      factsOf(facts, 'task done').flatMap(({ learnedBy, place, by, minutes }): TimedTask[] =>
        minutes === undefined ? [] : [{ learnedBy, place, by, minutes }],
      ),
    );
    return siteTasks(runs, sheet, job.practice, timed);
  }, [runs, sheet, job.practice, job.runs]);
  const { crew } = job.practice;
  const setup = useMemo(
    () => site.day ?? usualDay(crew && crew.length > 0 ? crew : [SOMEBODY]),
    [site.day, crew],
  );
  const nowMin = Math.min(24 * 60, ...setup.people.map(({ hours }) => hours[0]));
  const { plan, searching } = useDayPlan(tasks, setup, nowMin);
  return { tasks, setup, plan, searching };
}
