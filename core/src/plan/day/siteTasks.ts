import type { Catalog } from '../../catalog/index.js';
import { nameAsCompared } from '../../crew/index.js';
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
 * route: an end which does not pass a duct is made after the pull; bench test before it goes up; mount, join, prove, seal; hand over last.
 * Handbook of the trade, 9.
 *
 * @param of.timed how long such tasks took, in all jobs
 */
export function siteTasks(
  runs: readonly RunToPlan[],
  site: SiteSheet,
  of: { catalog: Catalog; practice: Practice; timed?: readonly TimedTask[] },
): Task[] {
  const { timed = [] } = of;
  const asTask = (run: { id: string; name: string } | undefined, draft: Draft): Task => {
    const { key, minutes, place, kind, learnedBy = kind, ...rest } = draft;
    const alike = timed.filter((one) => one.learnedBy === learnedBy && one.place === place);
    const usual = learnedMinutes(minutes * placeFactor[place], alike);
    return {
      people: place === 'aloft' ? 2 : 1,
      skills: [],
      tools: [],
      dry: false,
      opensUntil: [],
      cautions: place === 'aloft' ? aloftCautions : [],
      fact: undefined,
      ends: undefined,
      opens: undefined,
      parts: [],
      gear: rest.tools ?? [],
      lowestC: undefined,
      whose: run?.name ?? 'the site',
      ...rest,
      id: run ? `${run.id} ${key}` : key,
      runId: run?.id,
      kind,
      place,
      learnedBy,
      minutes: Math.max(1, Math.round(usual.minutes)),
      spread: usual.spread,
      minutesOf: minutesByHand(usual.minutes, alike),
    };
  };
  const pulls = pullTasks(site, runs).map((draft) => asTask(undefined, draft));
  const ofRuns = runs.flatMap((run) =>
    tasksOfRun(run, site, of).map((draft) => asTask({ id: run.id, name: run.design.name }, draft)),
  );
  const ground = groundTasks(site, runs).map((draft) => asTask(undefined, draft));
  const all = [...ofRuns, ...pulls, ...ground];
  const ids = new Set(all.map(({ id }) => id));
  // What is done already stands in nobody’s way.
  return all.map((task) => ({
    ...task,
    after: task.after.filter((id) => ids.has(id)),
    opensUntil: task.opensUntil.filter((id) => ids.has(id)),
  }));
}

/** Each hand’s own time, drawn from the shop’s towards what it took them; those whom nobody timed have the shop’s. */
function minutesByHand(usual: number, alike: readonly TimedTask[]): Record<string, number> {
  const hands = new Set(alike.filter(({ by }) => by !== '').map(({ by }) => nameAsCompared(by)));
  return Object.fromEntries(
    [...hands].map((hand) => {
      const own = alike.filter(({ by }) => nameAsCompared(by) === hand);
      return [hand, Math.max(1, Math.round(learnedMinutes(usual, own).minutes))];
    }),
  );
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
