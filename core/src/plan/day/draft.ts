import type { Sheet } from '../../run/index.js';
import type { PlannedRun } from '../partsList.js';
import type { Task } from './task.js';

/** A run of the site whose tasks are wanted. */
export type RunToPlan = Omit<PlannedRun, 'sheet'> & {
  sheet: Pick<Sheet, 'cuts' | 'ends' | 'wraps' | 'proofs' | 'joints' | 'pieces' | 'stages' | 'route'>;
};

/** A task before it is known how long it takes here. */
export type Draft = Pick<Task, 'kind' | 'title' | 'place' | 'after'> & {
  key: string;
  minutes: number;
} & Partial<Omit<Task, 'id' | 'spread' | 'minutes' | 'minutesOf'>>;
