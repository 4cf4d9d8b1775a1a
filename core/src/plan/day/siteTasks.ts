import type { Practice } from '../../practice/index.js';
import type { SiteSheet } from '../../site/index.js';
import { aloftCautions, placeFactor } from './defaults.js';
import type { Draft, RunToPlan } from './draft.js';
import { learnedMinutes, type TimedTask } from './learned.js';
import type { Task, TaskPlace } from './task.js';
import { groundTasks, pullTasks } from './tasksOfPlace.js';
import { tasksOfRun } from './tasksOfRun.js';

/**
 * What is still to be done on a site, from its runs and its ground: never a list which somebody types. The order of a run follows from its
 * route: an end which does not pass a duct is made after the pull; bench test before it goes up; prove before seal; hand over last.
 * Handbook of the trade, 9.
 *
 * @param timed how long such tasks took, in all jobs
 */
export function siteTasks(
  runs: readonly RunToPlan[],
  site: SiteSheet,
  practice: Practice,
  timed: readonly TimedTask[] = [],
): Task[] {
  const asTask = (of: { id: string; name: string } | undefined, draft: Draft): Task => {
    const { key, minutes, place, kind, learnedBy = kind, ...rest } = draft;
    const usual = learnedMinutes(
      minutes * placeFactor[place],
      timed.filter((one) => one.learnedBy === learnedBy && one.place === place),
    );
    return {
      people: place === 'aloft' ? 2 : 1,
      skills: [],
      tools: [],
      dry: false,
      cautions: place === 'aloft' ? aloftCautions : [],
      fact: undefined,
      opens: undefined,
      whose: of?.name ?? 'the site',
      ...rest,
      id: of ? `${of.id} ${key}` : key,
      runId: of?.id,
      kind,
      place,
      learnedBy,
      minutes: Math.max(1, Math.round(usual.minutes)),
      spread: usual.spread,
    };
  };
  const pulls = pullTasks(site, runs).map((draft) => asTask(undefined, draft));
  const ofRuns = runs.flatMap((run) =>
    tasksOfRun(run, site, practice).map((draft) => asTask({ id: run.id, name: run.design.name }, draft)),
  );
  const ground = groundTasks(site).map((draft) => asTask(undefined, draft));
  const all = [...ofRuns, ...pulls, ...ground];
  const ids = new Set(all.map(({ id }) => id));
  // What is done already stands in nobody’s way.
  return all.map((task) => ({ ...task, after: task.after.filter((id) => ids.has(id)) }));
}

/** What a task’s place is called. */
export const placeName: Record<TaskPlace, string> = {
  bench: 'bench',
  inside: 'inside',
  ground: 'outside, on the ground',
  aloft: 'aloft',
};

/** What ticking a task is logged as, besides its own fact. */
export const doneKey = ({ id, runId }: Pick<Task, 'id' | 'runId'>): string =>
  runId === undefined ? id : id.slice(runId.length + 1);
