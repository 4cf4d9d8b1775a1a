import type { MilpSolver } from '../../milp/index.js';
import type { DaySetup, Worker } from '../../site/index.js';
import { atLeast, headsOf, isAtWork, tailsOf } from './bound.js';
import { leastMinutes, mayDo, ticksOf, type PlacedTask } from './place.js';
import { impossible, scheduleInOrder, type Schedule } from './schedule.js';
import { TICK_MIN, toolCount } from './setup.js';
import type { Task } from './task.js';

/** What a plan is made of. */
export interface DayToPlan {
  tasks: readonly Task[];
  setup: DaySetup;
  /** Minutes from midnight. */
  nowMin: number;
  /** Work which goes on as it is. */
  underWay: readonly PlacedTask[];
}

/** A task with the starts it may have, in steps from midnight. */
interface Startable {
  task: Task;
  ticks: number;
  workers: Worker[];
  starts: number[];
}

/**
 * Asks a solver of mixed-integer programs how early a day could end, or how much work it could hold where some is left. In the program
 * people are as many as have the skills, not by name, so that what it finds is a bound for every plan by name: where the plan meets it, it is
 * proved. Time-indexed formulation after A. A. B. Pritsker, L. J. Watters, P. M. Wolfe, "Multiproject scheduling with limited resources",
 * Management Science 16 (1969).
 *
 * @param plan as found; it is never made worse
 * @param limitS after so many seconds the best bound so far stands
 */
export async function proveDay(
  plan: Schedule,
  { tasks, setup, nowMin, underWay }: DayToPlan,
  solve: MilpSolver,
  limitS: number,
): Promise<Schedule> {
  if (plan.proved || plan.placed.length === 0) return plan;
  const possible = possibleTasks(tasks, setup);
  const isWhole = plan.placed.length === possible.length;
  const running = new Map(underWay.map((one) => [one.task.id, one]));
  const heads = headsOf(
    atLeast(
      possible.filter(({ id }) => !running.has(id)),
      setup,
    ),
    setup,
    nowMin,
    underWay,
  );
  // Where work is left out, what follows a task need not follow it today.
  const tails = isWhole ? tailsOf(atLeast(possible, setup)) : new Map<string, number>();
  const lastMin = isWhole ? plan.endMin : Math.max(...setup.people.map(({ hours }) => hours[1]));
  const work = possible.map((task) => {
    const begun = running.get(task.id);
    return begun
      ? goingOn(begun, setup)
      : startable(task, setup, heads.get(task.id) ?? nowMin, lastMin - (tails.get(task.id) ?? 0));
  });
  const { bound, values } = await solve(isWhole ? shortest(work, setup) : fullest(work, setup), limitS);
  const best = bestOf(
    plan,
    scheduleInOrder(tasks, orderOf(work, values, isWhole ? 1 : 0), setup, { nowMin, underWay }),
  );
  if (!Number.isFinite(bound)) return best;
  if (isWhole) {
    const boundMin = Math.min(best.endMin, Math.max(best.boundMin, Math.ceil(bound - 1e-6) * TICK_MIN));
    return { ...best, boundMin, proved: boundMin >= best.endMin };
  }
  const workBoundMin = Math.floor(bound + 1e-6);
  return { ...best, workBoundMin, proved: workOf(best) >= workBoundMin };
}

/** Tasks as the solver would begin them; variables stand in the order of tasks and starts, behind `before` others. */
function orderOf(work: readonly Startable[], values: ArrayLike<number>, before: number): string[] {
  let at = before;
  return work
    .map(({ task, starts }) => {
      const start = starts.find((_, k) => (values[at + k] ?? 0) > 0.5) ?? Infinity;
      at += starts.length;
      return { id: task.id, start };
    })
    .sort((one, other) => (one.start === other.start ? 0 : one.start - other.start))
    .map(({ id }) => id);
}

const bestOf = (plan: Schedule, other: Schedule): Schedule => {
  const more = workOf(other) - workOf(plan);
  return more > 0 || (more === 0 && other.endMin < plan.endMin) ? other : plan;
};

/** Minutes of work in a plan, each task once however many are at it. */
export const workOf = ({ placed }: Pick<Schedule, 'placed'>): number =>
  placed.reduce((sum, { task }) => sum + task.minutes, 0);

/** Without those which nobody here can do, and what waits for them. */
function possibleTasks(tasks: readonly Task[], setup: DaySetup): Task[] {
  const never = new Set(tasks.filter((task) => impossible(task, setup)).map(({ id }) => id));
  for (let size = -1; size !== never.size;) {
    size = never.size;
    for (const { id, after } of tasks) if (after.some((before) => never.has(before))) never.add(id);
  }
  return tasks.filter(({ id }) => !never.has(id));
}

/** Work under way has one start, its own hands, and its own time. */
function goingOn({ task, startMin, endMin, people }: PlacedTask, setup: DaySetup): Startable {
  const at = Math.floor(startMin / TICK_MIN);
  return {
    task: { ...task, people: people.length },
    ticks: Math.ceil(endMin / TICK_MIN) - at,
    workers: setup.people.filter(({ name }) => people.includes(name)),
    starts: [at],
  };
}

/** Starts within the chain of what comes before and after, in dry and calm hours, while enough people are there from begin to end. */
function startable(task: Task, setup: DaySetup, firstMin: number, lastMin: number): Startable {
  const ticks = ticksOf(leastMinutes(task, setup.people));
  const wanted = setup.fixed.find((one) => one.task === task.id)?.people ?? [];
  const workers = setup.people.filter(
    (one) => mayDo(one, task) && (wanted.length === 0 || wanted.includes(one.name)),
  );
  const closed = [...(task.dry ? setup.wet : []), ...(task.place === 'aloft' ? setup.windy : [])];
  const isOpen = (at: number): boolean => {
    const [from, to] = [at * TICK_MIN, (at + ticks) * TICK_MIN];
    if (closed.some(([shut, open]) => from < open && to > shut)) return false;
    const steps = range(at, at + ticks - 1);
    return (
      workers.filter((one) => steps.every((tick) => isAtWork(one, tick * TICK_MIN))).length >= task.people
    );
  };
  const starts = range(Math.ceil(firstMin / TICK_MIN), Math.floor(lastMin / TICK_MIN) - ticks);
  return { task, ticks, workers, starts: starts.filter(isOpen) };
}

/** The earliest end of all, in steps from midnight. */
function shortest(work: readonly Startable[], setup: DaySetup): string {
  const once = work.map((one, k) => `${sum(one.starts.map((at) => x(k, at)))} = 1`);
  const ends = work.map(
    (one, k) => `${sum(one.starts.map((at) => `${at + one.ticks} ${x(k, at)}`))} - M <= 0`,
  );
  return programOf('Minimize', 'M', [...once, ...ends, ...inOrder(work), ...together(work, setup)], work);
}

/** The most minutes of work which go into the day. */
function fullest(work: readonly Startable[], setup: DaySetup): string {
  const once = work
    .filter(({ starts }) => starts.length > 0)
    .map((one) => `${sum(one.starts.map((at) => x(work.indexOf(one), at)))} <= 1`);
  const worth = work.flatMap(({ task, starts }, k) => starts.map((at) => `${task.minutes} ${x(k, at)}`));
  return programOf('Maximize', sum(worth), [...once, ...withBefore(work), ...together(work, setup)], work);
}

/** A task is done only when those before it are: without their order in time, which would make the program too large for a full day. */
function withBefore(work: readonly Startable[]): string[] {
  const byId = new Map(work.map((one, k) => [one.task.id, { one, k }]));
  return work.flatMap(({ task, starts }, k) =>
    task.after.flatMap((id) => {
      const before = byId.get(id);
      return before && starts.length > 0
        ? [
            `${sum(starts.map((at) => x(k, at)))}${before.one.starts.map((at) => `\n - ${x(before.k, at)}`).join('')} <= 0`,
          ]
        : [];
    }),
  );
}

/** A task begins only when those before it have ended, and is done only when they are. */
function inOrder(work: readonly Startable[]): string[] {
  const byId = new Map(work.map(({ task }, k) => [task.id, k]));
  return work.flatMap(({ task, starts }, later) =>
    task.after.flatMap((id) => {
      const first = byId.get(id);
      if (first === undefined) return [];
      const before = work[first];
      return starts.flatMap((at, n) => {
        // Begun by now means that the other had begun early enough.
        const begun = starts.slice(0, n + 1).map((one) => x(later, one));
        const early = before.starts.filter((one) => one + before.ticks <= at).map((one) => x(first, one));
        // The same rows again say nothing new.
        return early.length === before.starts.length && n < starts.length - 1
          ? []
          : [`${sum(begun)}${early.map((one) => `\n - ${one}`).join('')} <= 0`];
      });
    }),
  );
}

/** At every step no more of each tool, and no more people of each set that may, than there are. */
function together(work: readonly Startable[], setup: DaySetup): string[] {
  const names = ({ workers }: Startable): string => workers.map(({ name }) => name).join('\n');
  const crews = [...new Map(work.map((one) => [names(one), one.workers])).values(), setup.people];
  const tools = [...new Set(work.flatMap(({ task }) => task.tools))];
  const ticks = [
    ...new Set(work.flatMap(({ starts, ticks: long }) => starts.flatMap((at) => range(at, at + long - 1)))),
  ];
  const busy = (tick: number, weight: (one: Startable) => number): string =>
    sum(
      work.flatMap((one, k) => {
        const each = weight(one);
        return each === 0
          ? []
          : one.starts.filter((at) => at <= tick && tick < at + one.ticks).map((at) => `${each} ${x(k, at)}`);
      }),
    );
  const row = (terms: string, most: number): string[] => (terms === '' ? [] : [`${terms} <= ${most}`]);
  return ticks.flatMap((tick) => [
    ...crews.flatMap((crew) =>
      row(
        busy(tick, ({ task, workers }) => (workers.every((one) => crew.includes(one)) ? task.people : 0)),
        crew.filter((one) => isAtWork(one, tick * TICK_MIN)).length,
      ),
    ),
    ...tools.flatMap((tool) =>
      row(
        busy(tick, ({ task }) => (task.tools.includes(tool) ? 1 : 0)),
        toolCount(setup, tool),
      ),
    ),
  ]);
}

const range = (from: number, to: number): number[] =>
  Array.from({ length: Math.max(0, to - from + 1) }, (_, k) => from + k);

const x = (task: number, at: number): string => `x${task}_${at}`;

/** One term a line: the format has an end for lines. */
const sum = (terms: readonly string[]): string => terms.join('\n + ');

const programOf = (
  sense: 'Minimize' | 'Maximize',
  goal: string,
  rows: readonly string[],
  work: readonly Startable[],
): string =>
  [
    sense,
    ` ${goal}`,
    'Subject To',
    ...rows.map((row, k) => ` r${k}: ${row}`),
    'Binaries',
    ...work.flatMap(({ starts }, k) => starts.map((at) => ` ${x(k, at)}`)),
    'End',
    '',
  ].join('\n');
