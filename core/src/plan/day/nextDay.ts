import type { Schedule } from './schedule.js';
import type { Task } from './task.js';

/** What is still to be done when a day went as planned: those which were left, waiting for nothing that is done by then. */
export function leftAfter({ placed, left }: Pick<Schedule, 'placed' | 'left'>): Task[] {
  const done = new Set(placed.map(({ task }) => task.id));
  return left.map(({ task }) => ({ ...task, after: task.after.filter((id) => !done.has(id)) }));
}
