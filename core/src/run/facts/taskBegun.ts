import type { FactKind } from './fact.js';

/** Somebody has begun a task of a day: the plan goes on around it, and its end tells how long it took. */
export interface TaskBegun {
  kind: 'task begun';
  /** As `task done` calls it. */
  task: string;
}

export const taskBegun: FactKind<TaskBegun> = {
  kind: 'task begun',
  about: ({ task }) => task,
  text: () => '',
};
