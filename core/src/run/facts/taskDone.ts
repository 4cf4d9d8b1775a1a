import type { UsedPart } from '../../catalog/index.js';
import type { FactKind } from './fact.js';

/** Work of a day which leaves no other trace is done, or how long some work took. */
export interface TaskDone {
  kind: 'task done';
  /** What it is called within its run: `mate aloft`, `label`, `make main.a`. */
  task: string;
  /** Recipe or kind of work, by which its time is learned. */
  learnedBy: string;
  /** Where it was done. */
  place: string;
  /** How long it took; nothing when nobody timed it. */
  minutes?: number;
  /** What left the shelf for it: adapters. */
  used?: UsedPart[];
}

export const taskDone: FactKind<TaskDone> = {
  kind: 'task done',
  about: ({ task }) => task,
  text: ({ place, minutes }) =>
    [place, minutes === undefined ? '' : `${minutes} min`].filter(Boolean).join(', '),
};
