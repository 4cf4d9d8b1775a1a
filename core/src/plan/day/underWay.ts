import type { Fact, Facts } from '../../run/index.js';
import { factsOf } from '../../run/index.js';
import { minutesWith, ticksOf, type PlacedTask } from './place.js';
import { TICK_MIN } from './setup.js';
import { doneKey } from './siteTasks.js';
import type { Task } from './task.js';

/** Somebody began a task and nobody has said that it is done. */
export function begunAt(facts: Facts, task: string): Fact | undefined {
  const lastOf = (kind: 'task begun' | 'task done'): Fact | undefined =>
    factsOf(facts, kind)
      .filter((one) => one.task === task)
      .toSorted((x, y) => x.at.localeCompare(y.at))
      .at(-1);
  const begun = lastOf('task begun');
  const done = lastOf('task done');
  return begun && (!done || done.at < begun.at) ? begun : undefined;
}

/** Longer than this is a task which nobody ended in the evening, min. Common practice, no source. */
const FORGOTTEN_MIN = 8 * 60;

/**
 * How long a task took which is ended now, min; nothing where its beginning was forgotten.
 *
 * @param at when it was begun, ISO 8601
 * @param now this moment, ISO 8601
 */
export function tookMinutes(at: string, now: string): number | undefined {
  const minutes = (Date.parse(now) - Date.parse(at)) / 60_000;
  return minutes < FORGOTTEN_MIN ? Math.max(1, Math.round(minutes)) : undefined;
}

/**
 * Work which somebody has begun today: it stays where it is, with whoever began it, until its usual time is over; what takes longer is
 * taken to end with the next step.
 *
 * @param tasks those which are open
 * @param factsOfRun what was done in a run
 * @param now this moment, in the clock of this place
 */
export function underWay(
  tasks: readonly Task[],
  factsOfRun: (runId: string) => Facts,
  now: Date,
): PlacedTask[] {
  const nowMin = now.getHours() * 60 + now.getMinutes();
  return tasks.flatMap((task): PlacedTask[] => {
    const begun = task.runId === undefined ? undefined : begunAt(factsOfRun(task.runId), doneKey(task));
    const at = begun && new Date(begun.at);
    if (!begun || !at || at.toDateString() !== now.toDateString()) return [];
    const startMin = Math.floor((at.getHours() * 60 + at.getMinutes()) / TICK_MIN) * TICK_MIN;
    const people = begun.by === '' ? [] : [begun.by];
    const usualEnd = startMin + ticksOf(minutesWith(task, people)) * TICK_MIN;
    const nextStep = (Math.floor(nowMin / TICK_MIN) + 1) * TICK_MIN;
    return [{ task, startMin, endMin: Math.max(usualEnd, nextStep), people }];
  });
}
