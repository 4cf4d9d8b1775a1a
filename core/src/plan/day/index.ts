export { earliestEnd } from './bound.js';
export { learnedMinutes, type TimedTask } from './learned.js';
export type { LeftTask, PlacedTask } from './place.js';
export { planFrom } from './planFrom.js';
export { chainOf, climbsOf, schedule, type Schedule, type ScheduleOptions } from './schedule.js';
export { TICK_MIN } from './setup.js';
export { doneKey, placeName, siteTasks, type RunToPlan } from './siteTasks.js';
export { taskKinds, taskPlaces, type Task, type TaskKind, type TaskPlace } from './task.js';
