import { schedule, type DaySetup, type Schedule, type ScheduleOptions, type Task } from '@kobran/core';

export const dayWork = {
  /** Plans a day in a thread of its own; ending the worker ends the search. */
  day: (tasks: readonly Task[], setup: DaySetup, options: ScheduleOptions): Schedule =>
    schedule(tasks, setup, options),
};
