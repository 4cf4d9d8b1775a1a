import { aboutOf, factsOf, newest, type Facts } from '../../run/index.js';
import type { TimedTask } from './learned.js';
import { tookMinutes } from './underWay.js';

/**
 * How long tasks of one run took: where somebody typed it, and where somebody said that a task was begun and its own entry (an end made, a
 * joint sealed, a reading) came within a working day.
 */
export function timedTasks(facts: Facts): TimedTask[] {
  const done = factsOf(facts, 'task done');
  const typed = done.flatMap(({ learnedBy, place, by, minutes }): TimedTask[] =>
    minutes === undefined ? [] : [{ learnedBy, place, by, minutes }],
  );
  const begun = factsOf(facts, 'task begun');
  const read = begun.flatMap(({ task, learnedBy, place, ends, at, by }): TimedTask[] => {
    if (learnedBy === undefined || place === undefined || !ends) return [];
    // Begun again, it is the second time that counts; typed, that is known better.
    const isLater = (one: { task: string; at: string }): boolean => one.task === task && one.at > at;
    if (begun.some(isLater) || done.some(isLater)) return [];
    const end = newest(
      facts.filter(
        (one) =>
          one.kind === ends.kind &&
          (ends.about === undefined || aboutOf(one) === ends.about) &&
          one.at > at &&
          tookMinutes(at, one.at) !== undefined,
      ),
    );
    const minutes = end && tookMinutes(at, end.at);
    return minutes === undefined ? [] : [{ learnedBy, place, by: end?.by || by, minutes }];
  });
  return [...typed, ...read];
}
