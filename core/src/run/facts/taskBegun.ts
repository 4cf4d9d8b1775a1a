import type { FactKind } from './fact.js';

/** Somebody has begun a task of a day: the plan goes on around it, and its end tells how long it took. */
export interface TaskBegun {
  kind: 'task begun';
  /** As `task done` calls it. */
  task: string;
  /** Recipe or kind of work, by which its time is learned; nothing in logs of earlier versions. */
  learnedBy?: string;
  place?: string;
  /** The entry which shows that it is done, where it is another than `task done`. */
  ends?: TaskEnd;
}

/** What ends a task: an entry of this kind, about this. */
export interface TaskEnd {
  kind: string;
  /** Nothing where any entry of the kind does. */
  about?: string;
}

export const taskBegun: FactKind<TaskBegun> = {
  kind: 'task begun',
  about: ({ task }) => task,
  text: () => '',
};
