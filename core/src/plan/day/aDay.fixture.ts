import fc from 'fast-check';
import { usualDay, type DaySetup, type SharedTool, type Skill } from '../../site/index.js';
import type { Task } from './index.js';

/** A task of this length which wants nothing. */
export const task = (id: string, minutes: number, over: Partial<Task> = {}): Task => ({
  id,
  kind: 'bond',
  title: id,
  runId: undefined,
  whose: 'the site',
  minutes,
  spread: 0,
  people: 1,
  skills: [],
  tools: [],
  place: 'bench',
  dry: false,
  opensUntil: [],
  after: [],
  cautions: [],
  fact: undefined,
  ends: undefined,
  parts: [],
  gear: [],
  lowestC: undefined,
  minutesOf: {},
  opens: undefined,
  learnedBy: 'bond',
  ...over,
});
/** People who are there all day and can do everything. */
export const crew = (...names: string[]): DaySetup => {
  const day = usualDay(names);
  return { ...day, people: day.people.map((one) => ({ ...one, away: [] })) };
};
export const from8 = { nowMin: 8 * 60 };

/** Small cases for which every schedule can be looked at: up to eight tasks, three people, steps of half an hour. */
export const smallCase = fc
  .record({
    tasks: fc.array(
      fc.record({
        ticks: fc.integer({ min: 1, max: 3 }),
        people: fc.integer({ min: 1, max: 2 }),
        skill: fc.option(fc.constantFrom<Skill>('crimp', 'climb'), { nil: undefined }),
        tool: fc.option(fc.constantFrom<SharedTool>('crimper', 'analyser'), { nil: undefined }),
        dry: fc.boolean(),
        after: fc.array(fc.nat(7), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 8 },
    ),
    able: fc.array(fc.subarray<Skill>(['crimp', 'climb']), { minLength: 1, maxLength: 3 }),
    wet: fc.option(fc.integer({ min: 0, max: 6 }), { nil: undefined }),
  })
  .map(({ tasks, able, wet }) => ({
    tasks: tasks.map(({ ticks, people, skill, tool, dry, after }, k) =>
      task(`t${k}`, ticks * 30, {
        people: Math.min(people, able.length),
        skills: skill ? [skill] : [],
        tools: tool ? [tool] : [],
        dry,
        // Only earlier ones: nobody waits for each other in a ring.
        after: [...new Set(after.filter((n) => n < k))].map((n) => `t${n}`),
      }),
    ),
    setup: {
      ...crew(),
      people: able.map((own, k) => ({
        name: `p${k}`,
        hours: [480, 1020] as [number, number],
        skills: own,
        away: [],
      })),
      wet: wet === undefined ? [] : [[480 + wet * 30, 480 + wet * 30 + 60] as [number, number]],
    },
  }));

export const may = (setup: DaySetup, one: Task): string[] =>
  setup.people.filter((p) => one.skills.every((skill) => p.skills.includes(skill))).map(({ name }) => name);
const choose = (names: readonly string[], count: number): string[][] =>
  count === 0
    ? [[]]
    : names.flatMap((name, k) => choose(names.slice(k + 1), count - 1).map((rest) => [name, ...rest]));

/** The earliest end of all schedules there are, by trying every start and every pair of hands, in half hours. */
export function bruteEnd(tasks: readonly Task[], setup: DaySetup): number {
  const placed = new Map<string, { from: number; to: number; people: string[]; tools: string[] }>();
  let best = Infinity;
  const put = (k: number, endSoFar: number): void => {
    if (endSoFar >= best) return;
    if (k === tasks.length) {
      best = endSoFar;
      return;
    }
    const one = tasks[k];
    const ready = Math.max(480, ...one.after.map((id) => placed.get(id)?.to ?? Infinity));
    for (let from = ready; from + one.minutes <= 1020 && from + one.minutes < best; from += 30) {
      const to = from + one.minutes;
      if (one.dry && setup.wet.some(([a, b]) => from < b && to > a)) continue;
      const beside = [...placed.values()].filter((other) => from < other.to && to > other.from);
      if (beside.some((other) => one.tools.some((tool) => other.tools.includes(tool)))) continue;
      const free = may(setup, one).filter((name) => !beside.some((other) => other.people.includes(name)));
      for (const people of choose(free, one.people)) {
        placed.set(one.id, { from, to, people, tools: one.tools });
        put(k + 1, Math.max(endSoFar, to));
        placed.delete(one.id);
      }
    }
  };
  put(0, 480);
  return best;
}
