import { nameAsCompared } from '../../crew/index.js';
import type { DaySetup, DaySpan, SharedTool, Worker } from '../../site/index.js';
import { TICK_MIN, toolCount } from './setup.js';
import type { Task } from './task.js';

/** A task with its time and its hands. Minutes from midnight. */
export interface PlacedTask {
  task: Task;
  startMin: number;
  endMin: number;
  people: string[];
}

export interface LeftTask {
  task: Task;
  why: string;
}

/** A task with those it still waits for. */
export interface Waiting {
  task: Task;
  after: string[];
}

export const ticksOf = (minutes: number): number => Math.max(1, Math.ceil(minutes / TICK_MIN - 1e-9));

/** How long a task takes these hands: as long as the slowest of them. */
export const minutesWith = (
  { minutes, minutesOf }: Pick<Task, 'minutes' | 'minutesOf'>,
  people: readonly string[],
): number =>
  people.length === 0
    ? minutes
    : Math.max(...people.map((name) => minutesOf[nameAsCompared(name)] ?? minutes));

/** How long a task takes at the least with this crew: its quickest hands, as many as it wants. */
export function leastMinutes(task: Task, people: readonly Worker[]): number {
  const each = people
    .filter((one) => mayDo(one, task))
    .map(({ name }) => minutesWith(task, [name]))
    .sort((x, y) => x - y);
  return each.at(task.people - 1) ?? task.minutes;
}

const tickAt = (minute: number): number => Math.floor(minute / TICK_MIN);
const TICKS = (24 * 60) / TICK_MIN;

const marked = (spans: readonly DaySpan[]): Uint8Array => {
  const ticks = new Uint8Array(TICKS);
  for (const [from, to] of spans) ticks.fill(1, tickAt(from), Math.ceil(to / TICK_MIN));
  return ticks;
};

/** The day as it fills: who is taken when, which tools, and what the weather forbids. */
export class Board {
  private readonly taken = new Map<string, Uint8Array>();
  private readonly lastPlace = new Map<string, { tick: number; place: Task['place'] }[]>();
  private readonly inUse = new Map<SharedTool, Uint8Array>();
  private readonly wet: Uint8Array;
  private readonly windy: Uint8Array;
  readonly placed = new Map<string, PlacedTask>();

  constructor(
    private readonly setup: DaySetup,
    private readonly nowMin: number,
  ) {
    for (const { name, hours, away } of setup.people) {
      const off = marked(away);
      off.fill(1, 0, Math.ceil(hours[0] / TICK_MIN));
      off.fill(1, tickAt(hours[1]));
      this.taken.set(name, off);
      this.lastPlace.set(name, []);
    }
    this.wet = marked(setup.wet);
    this.windy = marked(setup.windy);
  }

  /**
   * Puts a task to the earliest time from which everything it needs is there.
   *
   * @returns whether it waits for a task which is not placed, or finds no time: then it never will, since a day only fills
   */
  place({ task, after }: Waiting): 'placed' | 'waits' | 'no time' {
    const fixed = this.setup.fixed.find((one) => one.task === task.id);
    const ends = after.map((id) => this.placed.get(id)?.endMin);
    if (ends.some((end) => end === undefined)) return 'waits';
    const ready = Math.max(this.nowMin, fixed?.startMin ?? 0, ...ends.map((end) => end ?? 0));
    const able = this.ableFor(task, fixed?.people);
    if (able.length < task.people) return 'no time';
    const lengths = [...new Set(able.map(({ ticks }) => ticks))].sort((x, y) => x - y);
    const last = Math.max(...able.map(({ one }) => tickAt(one.hours[1])));
    for (let at = Math.ceil(ready / TICK_MIN); at + lengths[0] <= last; at++) {
      const blocked = this.blockedUntil(task, at, lengths[0]);
      if (blocked !== undefined) {
        at = blocked;
        continue;
      }
      // The quickest hands which are free then.
      for (const ticks of lengths) {
        if (at + ticks > last || this.blockedUntil(task, at, ticks) !== undefined) break;
        const people = this.peopleFor(task, at, ticks, able);
        if (!people) continue;
        this.take(task, at, ticks, people);
        return 'placed';
      }
    }
    return 'no time';
  }

  /** Who may do a task, and how long it takes them. */
  private ableFor(task: Task, wanted: readonly string[] = []): { one: Worker; ticks: number }[] {
    return this.setup.people
      .filter((one) => (wanted.length === 0 || wanted.includes(one.name)) && mayDo(one, task))
      .map((one) => ({ one, ticks: ticksOf(minutesWith(task, [one.name])) }));
  }

  /** Work which is under way stays as it is. */
  keep(placed: PlacedTask): void {
    const at = tickAt(placed.startMin);
    this.take(placed.task, at, Math.max(1, Math.ceil(placed.endMin / TICK_MIN) - at), placed.people);
    this.placed.set(placed.task.id, placed);
  }

  /** The last tick within a stretch in which weather or tools forbid the task; nothing when none does. */
  private blockedUntil({ dry, place, tools }: Task, at: number, ticks: number): number | undefined {
    for (let k = at + ticks - 1; k >= at; k--) {
      if (dry && this.wet[k]) return k;
      if (place === 'aloft' && this.windy[k]) return k;
      if (tools.some((tool) => (this.inUse.get(tool)?.[k] ?? 0) >= toolCount(this.setup, tool))) return k;
    }
    return undefined;
  }

  /** Free people who may: those who can least else first, then whoever is at that place already, then who has worked least. */
  private peopleFor(
    task: Task,
    at: number,
    ticks: number,
    able: readonly { one: Worker; ticks: number }[],
  ): string[] | undefined {
    const free = able.filter(({ one, ticks: own }) => own <= ticks && this.isFree(one.name, at, ticks));
    if (free.length < task.people) return undefined;
    return free
      .map(({ one }) => ({
        name: one.name,
        there: this.placeBefore(one.name, at) === task.place ? 0 : 1,
        can: one.skills.length,
        load: this.load(one.name),
      }))
      .sort((x, y) => x.there - y.there || x.can - y.can || x.load - y.load)
      .slice(0, task.people)
      .map(({ name }) => name);
  }

  private isFree(name: string, at: number, ticks: number): boolean {
    const taken = this.taken.get(name);
    if (!taken) return false;
    for (let k = at; k < at + ticks; k++) if (taken[k]) return false;
    return true;
  }

  private placeBefore(name: string, at: number): Task['place'] | undefined {
    return this.lastPlace
      .get(name)
      ?.filter(({ tick }) => tick <= at)
      .at(-1)?.place;
  }

  private load(name: string): number {
    return this.lastPlace.get(name)?.length ?? 0;
  }

  private take(task: Task, at: number, ticks: number, people: string[]): void {
    for (const name of people) {
      this.taken.get(name)?.fill(1, at, at + ticks);
      const places = this.lastPlace.get(name);
      places?.push({ tick: at, place: task.place });
      places?.sort((x, y) => x.tick - y.tick);
    }
    for (const tool of task.tools) {
      const use = this.inUse.get(tool) ?? new Uint8Array(TICKS);
      this.inUse.set(tool, use);
      for (let k = at; k < at + ticks; k++) use[k]++;
    }
    this.placed.set(task.id, {
      task,
      startMin: at * TICK_MIN,
      endMin: (at + ticks) * TICK_MIN,
      people,
    });
  }
}

/** Has somebody the skills of a task? With two at it one may be the hand that holds: aloft both climb. */
export const mayDo = ({ skills }: Worker, task: Task): boolean =>
  task.skills.every((skill) => skills.includes(skill));
