import type { FactBody } from '../../run/index.js';
import { usedParts } from '../needs.js';
import { doneKey } from './siteTasks.js';
import type { Task } from './task.js';

/** What the log says when somebody begins a task. */
export const beginningOf = (task: Task): FactBody => ({
  kind: 'task begun',
  task: doneKey(task),
  learnedBy: task.learnedBy,
  place: task.place,
  ...(task.ends ? { ends: task.ends } : {}),
});

/**
 * What the log says when a task is ticked: the facts of the trade, and how long it took.
 *
 * @param minutes nothing where nobody timed it
 */
export function endingOf(task: Task, minutes: number | undefined): FactBody[] {
  const { fact, learnedBy, place, parts } = task;
  const used = usedParts(parts);
  const entry: FactBody = {
    kind: 'task done',
    task: doneKey(task),
    learnedBy,
    place,
    ...(minutes === undefined ? {} : { minutes }),
    // Where the trade has a fact of its own, that one says what was used.
    ...(fact || used.length === 0 ? {} : { used }),
  };
  return [...(fact ? [fact] : []), ...(!fact || minutes !== undefined ? [entry] : [])];
}
