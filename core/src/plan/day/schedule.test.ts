import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sharedTools, skills, usualDay, type DaySetup, type Skill } from '../../site/index.js';
import { bruteEnd, crew, from8, may, smallCase, task } from './aDay.fixture.js';
import {
  cautionsOf,
  chainOf,
  climbsOf,
  earliestEnd,
  minutesWith,
  placesOf,
  schedule,
  TICK_MIN,
  type Schedule,
  type Task,
} from './index.js';

function expectAtWork(people: readonly string[], startMin: number, endMin: number, setup: DaySetup): void {
  for (const name of people) {
    const person = setup.people.find((p) => p.name === name);
    if (!person) throw new Error(`${name} is not there`);
    expect(startMin).toBeGreaterThanOrEqual(person.hours[0]);
    expect(endMin).toBeLessThanOrEqual(person.hours[1]);
    expect(person.away.some(([a, b]) => startMin < b && endMin > a)).toBe(false);
  }
}

/** Whatever the plan is, nothing in it may break what was asked. */
function expectSound({ placed }: Schedule, tasks: readonly Task[], setup: DaySetup): void {
  const at = new Map(placed.map((one) => [one.task.id, one]));
  for (const { task: one, startMin, endMin, people } of placed) {
    expect(endMin - startMin).toBeGreaterThanOrEqual(minutesWith(one, people));
    expect(new Set(people).size).toBe(one.people);
    for (const name of people) expect(may(setup, one)).toContain(name);
    for (const id of one.after.filter((before) => tasks.some((other) => other.id === before)))
      expect(at.get(id)?.endMin ?? Infinity).toBeLessThanOrEqual(startMin);
    const closed = [...(one.dry ? setup.wet : []), ...(one.place === 'aloft' ? setup.windy : [])];
    expect(closed.some(([a, b]) => startMin < b && endMin > a)).toBe(false);
    expectAtWork(people, startMin, endMin, setup);
  }
  for (let t = 0; t < 24 * 60; t += TICK_MIN) {
    const now = placed.filter(({ startMin, endMin }) => startMin <= t && t < endMin);
    const hands = now.flatMap(({ people }) => people);
    expect(new Set(hands).size).toBe(hands.length);
    for (const tool of sharedTools)
      expect(now.filter(({ task: one }) => one.tools.includes(tool)).length).toBeLessThanOrEqual(
        setup.tools[tool] ?? 1,
      );
  }
}

describe('a day', () => {
  it('is as short as the shortest of all schedules, and its bound is never above that', () => {
    let proved = 0;
    let all = 0;
    fc.assert(
      fc.property(smallCase, ({ tasks, setup }) => {
        fc.pre(tasks.every((one) => may(setup, one).length >= one.people));
        const best = bruteEnd(tasks, setup);
        fc.pre(best < Infinity);
        const plan = schedule(tasks, setup, from8);
        expect(plan.left).toEqual([]);
        expect(plan.endMin).toBe(best);
        expect(earliestEnd(tasks, setup, 480)).toBeLessThanOrEqual(best);
        all++;
        proved += plan.proved ? 1 : 0;
      }),
      { numRuns: 150, seed: 14 },
    );
    // The bound is good enough to prove most of them by itself.
    expect(proved / all).toBeGreaterThan(0.6);
  });

  const bigCase = fc
    .record({
      tasks: fc.array(
        fc.record({
          minutes: fc.integer({ min: 3, max: 50 }),
          people: fc.integer({ min: 1, max: 2 }),
          skill: fc.option(fc.constantFrom(...skills), { nil: undefined }),
          tool: fc.option(fc.constantFrom(...sharedTools), { nil: undefined }),
          dry: fc.boolean(),
          aloft: fc.boolean(),
          after: fc.array(fc.nat(39), { maxLength: 3 }),
          // Joss by the log: quicker, slower, or not timed.
          joss: fc.option(fc.integer({ min: 3, max: 90 }), { nil: undefined }),
        }),
        { minLength: 5, maxLength: 40 },
      ),
      off: fc.integer({ min: 480, max: 900 }),
      rain: fc.integer({ min: 480, max: 1000 }),
    })
    .map(({ tasks, off, rain }) => {
      const day = usualDay(['Wenna', 'Joss', 'Petrok']);
      return {
        tasks: tasks.map(({ minutes, people, skill, tool, dry, aloft, after, joss }, k) =>
          task(`t${k}`, minutes, {
            people,
            skills: skill ? [skill] : [],
            tools: tool ? [tool] : [],
            dry,
            place: aloft ? 'aloft' : 'bench',
            after: [...new Set(after.filter((n) => n < k))].map((n) => `t${n}`),
            minutesOf: joss === undefined ? {} : { joss },
          }),
        ),
        setup: {
          ...day,
          people: day.people.map((one, k) =>
            k === 2
              ? { ...one, skills: ['climb'] as Skill[], away: [[off, off + 45] as [number, number]] }
              : one,
          ),
          wet: [[rain, rain + 20] as [number, number]],
          windy: [[600, 660] as [number, number]],
        },
      };
    });

  it('never breaks what comes before, a skill, a tool, the hours or the weather', () => {
    fc.assert(
      fc.property(bigCase, ({ tasks, setup }) => {
        const plan = schedule(tasks, setup, { ...from8, tries: 20 });
        expectSound(plan, tasks, setup);
        expect(plan.placed.length + plan.left.length).toBe(tasks.length);
        expect(plan.boundMin).toBeLessThanOrEqual(plan.endMin);
      }),
      { numRuns: 40 },
    );
  });

  it('says the chain that decides: each begins when the one before ends, the last at the end', () => {
    fc.assert(
      fc.property(bigCase, ({ tasks, setup }) => {
        const { placed, chain, endMin } = schedule(tasks, setup, { ...from8, tries: 5 });
        expect(chainOf(placed)).toEqual(chain);
        const links = chain.flatMap((id) => placed.find((one) => one.task.id === id) ?? []);
        expect(links.at(-1)?.endMin).toBe(endMin);
        for (const [k, one] of links.entries()) if (k > 0) expect(one.startMin).toBe(links[k - 1].endMin);
      }),
      { numRuns: 20 },
    );
  });

  it('one crimper between two people: the second waits, a second crimper sets both to work', () => {
    const ends = ['a', 'b', 'c', 'd'].map((id) => task(id, 30, { tools: ['crimper'] }));
    expect(schedule(ends, crew('Wenna', 'Joss'), from8).endMin).toBe(600);
    expect(schedule(ends, { ...crew('Wenna', 'Joss'), tools: { crimper: 2 } }, from8).endMin).toBe(540);
  });

  it('whoever is quicker by the log does it, and whoever is slower has the time for it', () => {
    const end = task('end', 30, { minutesOf: { joss: 10, wenna: 50 } });
    const [first] = schedule([end], crew('Wenna', 'Joss'), from8).placed;
    expect([first.people, first.endMin]).toEqual([['Joss'], 490]);
    const alone = schedule([end], crew('Wenna'), from8);
    expect([alone.endMin, alone.proved]).toEqual([530, true]);
    // Two at it are as quick as the slower.
    const both = schedule([{ ...end, people: 2 }], crew('Wenna', 'Joss'), from8);
    expect([both.endMin, both.proved]).toEqual([530, true]);
  });

  it('work aloft stands together: one climb', () => {
    const work = [
      ...['mate', 'seal', 'hang'].map((id) => task(id, 30, { place: 'aloft', skills: ['climb'] })),
      ...['x', 'y', 'z'].map((id) => task(id, 30)),
    ];
    const plan = schedule(work, crew('Wenna'), { ...from8, tries: 800 });
    expect(climbsOf(plan.placed)).toBe(1);
    const places = placesOf(plan, 'Wenna').map(({ place }) => place);
    expect(places.filter((place) => place === 'aloft')).toHaveLength(1);
    expect(places.length).toBeLessThanOrEqual(3);
  });

  it('seals before the rain: what must be dry comes first', () => {
    const day = { ...crew('Wenna'), wet: [[600, 1020] as [number, number]] };
    const { placed, left } = schedule(
      [task('label', 60), task('seal', 60, { dry: true }), task('paper', 60)],
      day,
      from8,
    );
    expect(left).toEqual([]);
    expect(placed.find((one) => one.task.id === 'seal')?.endMin).toBeLessThanOrEqual(600);
  });

  it('a joint opened in the dry is closed before the rain where that can be, else it is to be capped', () => {
    const wet = (from: number): DaySetup => ({ ...crew('Wenna'), wet: [[from, from + 60]] });
    const work = [
      task('couple', 30, { dry: true, opensUntil: ['seal'] }),
      task('seal', 30, { dry: true, after: ['couple'] }),
      ...['x', 'y', 'z', 'last'].map((id) => task(id, 30, id === 'last' ? { after: ['x', 'y', 'z'] } : {})),
    ];
    expect(schedule(work, wet(570), from8).open).toEqual([]);
    // Rain at half past eight leaves dry time for one of them before it.
    const at = (id: string, placed: Schedule['placed']) =>
      placed.find(({ task: one }) => one.id === id)?.startMin ?? 0;
    const short = schedule(work, wet(510), from8);
    expect(short.open).toEqual([]);
    expect(at('couple', short.placed)).toBeGreaterThanOrEqual(570);
    // Sealed by nobody here, it is capped before they go home.
    const [night] = schedule(
      work.filter(({ id }) => id !== 'seal'),
      crew('Wenna'),
      from8,
    ).open;
    expect(night).toMatchObject({ task: 'couple', byMin: 1020, against: 'night' });
    const fixed = {
      ...wet(570),
      fixed: [
        { task: 'seal', startMin: 660 },
        { task: 'couple', startMin: 480 },
      ],
    };
    const late = schedule([work[0], work[1]], fixed, { ...from8, tries: 3 });
    expect(late.open.map(({ byMin, against }) => [byMin, against])).toEqual([[570, 'rain']]);
    expect(cautionsOf(work[0], late.open)).toEqual([
      'Cap what stays open by 09:30: it rains before it is sealed.',
    ]);
  });

  it('says of what is left why: nobody can, a tool is missing, no dry time, it waits for another', () => {
    const day = { ...crew('Wenna'), tools: { analyser: 0 }, wet: [[480, 1020] as [number, number]] };
    const noClimb = { ...day, people: day.people.map((one) => ({ ...one, skills: ['crimp' as const] })) };
    const { left } = schedule(
      [
        task('up', 30, { skills: ['climb'] }),
        task('read', 30, { tools: ['analyser'] }),
        task('seal', 30, { dry: true }),
        task('last', 30, { after: ['seal'] }),
        task('two', 30, { people: 2 }),
      ],
      noClimb,
      from8,
    );
    expect(Object.fromEntries(left.map(({ task: { id }, why }) => [id, why]))).toEqual({
      up: 'nobody here can climb',
      read: 'the analyser is missing',
      seal: 'no dry time left in this day',
      last: 'waits for “seal”',
      two: 'it wants 2 who can do it, and there is 1',
    });
  });

  it('re-plans around what is under way and what somebody has fixed', () => {
    const work = ['a', 'b', 'c'].map((id) => task(id, 60));
    const first = schedule(work, crew('Wenna'), from8);
    const [running] = first.placed;
    const fixed = { ...crew('Wenna'), fixed: [{ task: 'c', startMin: 720 }] };
    const again = schedule(work, fixed, { nowMin: 505, underWay: [running] });
    expect(again.placed.find((one) => one.task.id === running.task.id)).toEqual(running);
    expect(again.placed.find((one) => one.task.id === 'c')?.startMin).toBeGreaterThanOrEqual(720);
    for (const one of again.placed) if (one !== running) expect(one.startMin).toBeGreaterThanOrEqual(505);
  });
});
