import prand from 'pure-rand';
import { below } from '../../chance/index.js';
import { earliestEnd, tailsOf } from './bound.js';
import { openJoints, type OpenJoints } from './openJoints.js';
import { Board, mayDo, type LeftTask, type PlacedTask, type Waiting } from './place.js';
import type { DaySetup } from '../../site/index.js';
import { toolCount } from './setup.js';
import type { Task, TaskPlace } from './task.js';

/** A day, planned. Minutes from midnight. */
export interface Schedule {
  placed: PlacedTask[];
  /** What does not go into this day, and why. */
  left: LeftTask[];
  /** Opened to the weather and not closed in time: to be capped. */
  open: OpenJoints[];
  endMin: number;
  /** Nothing ends earlier than this; of the tasks which are placed. */
  boundMin: number;
  /** Nobody could do better: no earlier end, and no more work where some is left. */
  proved: boolean;
  /** Where something is left: no plan has more minutes of work in this day; once that is known. */
  workBoundMin?: number;
  /** Tasks which decide the end, each waiting for the one before. */
  chain: string[];
}

export interface ScheduleOptions {
  nowMin: number;
  /** Work which goes on as it is. */
  underWay?: readonly PlacedTask[];
  /** How often another order is tried. */
  tries?: number;
  /** Looked at now and then: true ends the search with what there is. */
  stop?: () => boolean;
}

const USUAL_TRIES = 400;

/**
 * Plans a day: every task to the earliest time at which what it waits for is done and its people, tools and weather are there; orders of
 * tasks are tried until the bound is met, starting with what most waits for. The same input gives the same plan.
 */
export function schedule(
  tasks: readonly Task[],
  setup: DaySetup,
  { nowMin, underWay = [], tries = USUAL_TRIES, stop = () => false }: ScheduleOptions,
): Schedule {
  const possible = tasks.filter((task) => impossible(task, setup) === undefined);
  const kept = new Set(underWay.map(({ task }) => task.id));
  const timed = withAllBefore(possible, tasks).filter(({ task }) => !kept.has(task.id));
  const ranks = new Map([...tailsOf(tasks)].map(([id, tail]) => [id, tail]));
  const first = timed.toSorted(
    (x, y) =>
      Number(y.task.dry) - Number(x.task.dry) || (ranks.get(y.task.id) ?? 0) - (ranks.get(x.task.id) ?? 0),
  );
  const order = timed.toSorted((x, y) => (ranks.get(y.task.id) ?? 0) - (ranks.get(x.task.id) ?? 0));
  const build = (by: readonly Waiting[]): Board => built(by, setup, nowMin, underWay);
  const rng = prand.xoroshiro128plus(tasks.length * 7919 + nowMin);
  let best = { order: [...order], board: build(order) };
  const other = build(first);
  if (isBetter(other, best.board, setup)) best = { order: [...first], board: other };
  const bound = earliestEnd(possible, setup, nowMin, underWay);
  const all = timed.length + underWay.length;
  const isBest = (): boolean =>
    best.board.placed.size === all && endOf(best.board) <= bound && openOn(best.board, setup) === 0;
  for (let k = 0; k < tries && !isBest() && !stop(); k++) {
    const next = [...best.order];
    // A few tasks elsewhere: what waits for them is placed after them all the same.
    for (let moves = 1 + below(rng, 3); moves > 0 && next.length > 1; moves--) {
      const [one] = next.splice(below(rng, next.length), 1);
      next.splice(below(rng, next.length + 1), 0, one);
    }
    const board = build(next);
    if (!isBetter(best.board, board, setup)) best = { order: next, board };
  }
  return finished(best.board, tasks, setup, { nowMin, underWay });
}

/** Plans a day with the tasks in the order of these ids, each at the earliest time that is left for it. */
export function scheduleInOrder(
  tasks: readonly Task[],
  ids: readonly string[],
  setup: DaySetup,
  { nowMin, underWay = [] }: Pick<ScheduleOptions, 'nowMin' | 'underWay'>,
): Schedule {
  const running = new Set(underWay.map(({ task }) => task.id));
  const ranks = new Map(ids.map((id, k) => [id, k]));
  const possible = tasks.filter((task) => impossible(task, setup) === undefined);
  const order = withAllBefore(possible, tasks)
    .filter(({ task }) => !running.has(task.id))
    .toSorted((x, y) => (ranks.get(x.task.id) ?? ids.length) - (ranks.get(y.task.id) ?? ids.length));
  return finished(built(order, setup, nowMin, underWay), tasks, setup, { nowMin, underWay });
}

/** A task waits for what waits for nobody any more, and never for what cannot be done today. */
const withAllBefore = (possible: readonly Task[], all: readonly Task[]): Waiting[] => {
  const known = new Set(all.map(({ id }) => id));
  return possible.map((task) => ({
    task,
    after: task.after.filter((id) => known.has(id)),
  }));
};

/** Places tasks in an order, each as soon as all it waits for is placed. */
function built(
  order: readonly Waiting[],
  setup: DaySetup,
  nowMin: number,
  underWay: readonly PlacedTask[],
): Board {
  const board = new Board(setup, nowMin);
  for (const one of underWay) board.keep(one);
  let open = [...order];
  for (let moved = true; moved;) {
    moved = false;
    const rest: Waiting[] = [];
    for (const one of open) {
      const result = moved ? 'waits' : board.place(one);
      if (result === 'placed') moved = true;
      else if (result === 'waits') rest.push(one);
    }
    open = rest;
  }
  return board;
}

const endOf = (board: Board): number =>
  Math.max(0, ...[...board.placed.values()].map(({ endMin }) => endMin));

const openOn = (board: Board, setup: DaySetup): number =>
  openJoints([...board.placed.values()], setup).length;

/** More of the work placed, then less left open to rain, then an earlier end, then fewer ways up and down, then earlier starts. */
function isBetter(one: Board, than: Board, setup: DaySetup): boolean {
  const worth = (board: Board): number[] => {
    const placed = [...board.placed.values()];
    return [
      -placed.reduce((sum, { task }) => sum + task.minutes, 0),
      openOn(board, setup),
      endOf(board),
      climbsOf(placed),
      placed.reduce((sum, { startMin }) => sum + startMin, 0),
    ];
  };
  const [x, y] = [worth(one), worth(than)];
  const k = x.findIndex((value, n) => value !== y[n]);
  return k >= 0 && x[k] < y[k];
}

/** How often somebody goes up: work aloft after something else, or after nothing. */
export function climbsOf(placed: readonly PlacedTask[]): number {
  const names = [...new Set(placed.flatMap(({ people }) => people))];
  return names.reduce(
    (sum, name) => sum + placesOf({ placed }, name).filter(({ place }) => place === 'aloft').length,
    0,
  );
}

/** Where somebody is on a day, each place as long as nothing is done elsewhere between. */
export function placesOf(
  { placed }: { placed: readonly PlacedTask[] },
  name: string,
): { place: TaskPlace; startMin: number; endMin: number }[] {
  const own = placed
    .filter(({ people }) => people.includes(name))
    .toSorted((x, y) => x.startMin - y.startMin);
  return own.reduce<{ place: TaskPlace; startMin: number; endMin: number }[]>((all, one) => {
    const last = all.at(-1);
    const { startMin, endMin } = one;
    if (last?.place !== one.task.place) return [...all, { place: one.task.place, startMin, endMin }];
    return [...all.slice(0, -1), { ...last, endMin }];
  }, []);
}

function finished(
  board: Board,
  tasks: readonly Task[],
  setup: DaySetup,
  { nowMin, underWay = [] }: Pick<ScheduleOptions, 'nowMin' | 'underWay'>,
): Schedule {
  const placed = [...board.placed.values()].toSorted(
    (x, y) => x.startMin - y.startMin || (x.task.id < y.task.id ? -1 : 1),
  );
  const left = tasks
    .filter(({ id }) => !board.placed.has(id))
    .map((task): LeftTask => ({ task, why: whyLeft(task, board, setup, tasks) }));
  const endMin = endOf(board);
  const boundMin = Math.min(
    endMin,
    earliestEnd(
      placed.map(({ task }) => task),
      setup,
      nowMin,
      underWay,
    ),
  );
  // That no more work goes in is not shown by a bound on the end.
  const proved = endMin <= boundMin && left.every(({ task }) => impossible(task, setup) !== undefined);
  return { placed, left, open: openJoints(placed, setup), endMin, boundMin, proved, chain: chainOf(placed) };
}

/** Why a task can never be done with this crew; nothing when it can. */
export function impossible(task: Task, setup: DaySetup): string | undefined {
  const able = setup.people.filter((one) => mayDo(one, task));
  if (able.length < task.people)
    return able.length === 0
      ? `nobody here can ${task.skills.join(' and ') || 'do it'}`
      : `it wants ${task.people} who can ${task.skills.join(' and ') || 'do it'}, and there is ${able.length}`;
  const missing = task.tools.find((tool) => toolCount(setup, tool) === 0);
  return missing && `the ${missing} is missing`;
}

function whyLeft(task: Task, board: Board, setup: DaySetup, tasks: readonly Task[]): string {
  const never = impossible(task, setup);
  if (never) return never;
  const waits = task.after.find((id) => !board.placed.has(id) && tasks.some((one) => one.id === id));
  if (waits !== undefined) {
    const before = tasks.find((one) => one.id === waits);
    return `waits for “${before?.title ?? waits}”`;
  }
  return task.dry && setup.wet.length > 0 ? 'no dry time left in this day' : 'no time left in this day';
}

/** Backwards from the last end: which task had to end before each could begin. */
export function chainOf(placed: readonly PlacedTask[]): string[] {
  const chain: string[] = [];
  let at = placed.reduce<PlacedTask | undefined>(
    (last, one) => (last && last.endMin >= one.endMin ? last : one),
    undefined,
  );
  while (at) {
    const { task, startMin, people } = at;
    chain.unshift(task.id);
    const ended = placed.filter(({ endMin }) => endMin === startMin);
    at =
      ended.find((one) => task.after.includes(one.task.id)) ??
      ended.find(
        (one) =>
          one.people.some((name) => people.includes(name)) ||
          one.task.tools.some((tool) => task.tools.includes(tool)),
      );
  }
  return chain;
}
