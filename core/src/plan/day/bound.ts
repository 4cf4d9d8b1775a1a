import type { DaySetup, Worker } from '../../site/index.js';
import { TICK_MIN, toolCount } from './setup.js';
import { leastMinutes, mayDo, ticksOf, type PlacedTask } from './place.js';
import type { Task } from './task.js';

/**
 * No schedule ends earlier than this: no way through what has to be done one after the other is shorter, and no group of tasks which want
 * the same people or tools is done before these have had the minutes for it.
 *
 * @param all tasks; those under way are done when they are
 * @param nowMin minutes from midnight
 * @returns minutes from midnight
 */
export function earliestEnd(
  all: readonly Task[],
  setup: DaySetup,
  nowMin: number,
  underWay: readonly PlacedTask[] = [],
): number {
  const running = new Set(underWay.map(({ task }) => task.id));
  const tasks = atLeast(
    all.filter(({ id }) => !running.has(id)),
    setup,
  );
  const heads = headsOf(tasks, setup, nowMin, underWay);
  const tails = tailsOf(tasks);
  const lengthOf = (task: Task): number => ticksOf(task.minutes) * TICK_MIN;
  const chain = Math.max(
    nowMin,
    ...tasks.map((task) => (heads.get(task.id) ?? 0) + lengthOf(task) + (tails.get(task.id) ?? 0)),
  );
  const groups = [...new Map(tasks.map((task) => [task.skills.toSorted().join(), task])).values()].map(
    (like) => ({
      tasks: tasks.filter((task) => like.skills.every((skill) => task.skills.includes(skill))),
      workers: setup.people.filter((one) => mayDo(one, like)),
    }),
  );
  const byPeople = groups.map(({ tasks: group, workers }) => {
    const work = group.reduce((sum, task) => sum + lengthOf(task) * task.people, 0);
    const from = Math.min(...group.map(({ id }) => heads.get(id) ?? 0));
    const tail = Math.min(...group.map(({ id }) => tails.get(id) ?? 0));
    return whenDone(workers, work, from) + tail;
  });
  const byTool = [...new Set(tasks.flatMap(({ tools }) => tools))].map((tool) => {
    const group = tasks.filter(({ tools }) => tools.includes(tool));
    const work = group.reduce((sum, task) => sum + lengthOf(task), 0);
    return (
      Math.min(...group.map(({ id }) => heads.get(id) ?? 0)) +
      work / toolCount(setup, tool) +
      Math.min(...group.map(({ id }) => tails.get(id) ?? 0))
    );
  });
  const bound = Math.max(chain, ...byPeople, ...byTool, ...underWay.map(({ endMin }) => endMin));
  return Math.ceil(bound / TICK_MIN - 1e-9) * TICK_MIN;
}

/** Tasks as the quickest hands of a crew do them: what no plan is shorter than. */
export const atLeast = (tasks: readonly Task[], { people }: Pick<DaySetup, 'people'>): Task[] =>
  tasks.map((task) => ({ ...task, minutes: leastMinutes(task, people) }));

/** Is somebody there and not away, a whole step long? */
export const isAtWork = ({ hours, away }: Worker, atMin: number): boolean =>
  atMin >= hours[0] &&
  atMin + TICK_MIN <= hours[1] &&
  !away.some(([from, to]) => atMin < to && atMin + TICK_MIN > from);

/** The earliest start of each task by what comes before, by whoever comes first and by the weather. */
export function headsOf(
  tasks: readonly Task[],
  setup: DaySetup,
  nowMin: number,
  underWay: readonly PlacedTask[] = [],
): Map<string, number> {
  const ends = new Map(underWay.map(({ task, endMin }) => [task.id, endMin]));
  const heads = new Map<string, number>();
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const headOf = (task: Task): number => {
    const known = heads.get(task.id);
    if (known !== undefined) return known;
    heads.set(task.id, nowMin); // Should two wait for each other, neither holds this up.
    const ready = Math.max(
      nowMin,
      setup.fixed.find((one) => one.task === task.id)?.startMin ?? 0,
      Math.min(...setup.people.filter((one) => mayDo(one, task)).map(({ hours }) => hours[0])),
      ...task.after.flatMap((id) => {
        const end = ends.get(id);
        if (end !== undefined) return [end];
        const before = byId.get(id);
        return before ? [headOf(before) + ticksOf(before.minutes) * TICK_MIN] : [];
      }),
    );
    const closed = [...(task.dry ? setup.wet : []), ...(task.place === 'aloft' ? setup.windy : [])];
    const length = ticksOf(task.minutes) * TICK_MIN;
    let at = Math.ceil(ready / TICK_MIN - 1e-9) * TICK_MIN;
    for (let moved = true; moved;) {
      const hit = closed.find(([from, to]) => at < to && at + length > from);
      moved = hit !== undefined && at < hit[1];
      if (hit && moved) at = Math.ceil(hit[1] / TICK_MIN) * TICK_MIN;
    }
    heads.set(task.id, at);
    return at;
  };
  for (const task of tasks) headOf(task);
  return heads;
}

/** What follows each task at the least, minutes. */
export function tailsOf(tasks: readonly Task[]): Map<string, number> {
  const followers = new Map<string, Task[]>();
  for (const task of tasks)
    for (const id of task.after) followers.set(id, [...(followers.get(id) ?? []), task]);
  const tails = new Map<string, number>();
  const tailOf = (id: string): number => {
    const known = tails.get(id);
    if (known !== undefined) return known;
    tails.set(id, 0);
    const tail = Math.max(
      0,
      ...(followers.get(id) ?? []).map((task) => ticksOf(task.minutes) * TICK_MIN + tailOf(task.id)),
    );
    tails.set(id, tail);
    return tail;
  };
  for (const { id } of tasks) tailOf(id);
  return tails;
}

/** When some people have given so many minutes of work, all of them without a gap. */
function whenDone(workers: DaySetup['people'], work: number, fromMin: number): number {
  let left = work;
  for (let at = Math.floor(fromMin / TICK_MIN) * TICK_MIN; at < 24 * 60; at += TICK_MIN) {
    if (left <= 0) return at;
    left -= TICK_MIN * workers.filter((one) => isAtWork(one, at)).length;
  }
  return 24 * 60;
}
