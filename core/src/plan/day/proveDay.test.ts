import fc from 'fast-check';
import type { Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { highsSolver, type MilpSolver } from '../../milp/index.js';
import { bruteEnd, crew, from8, may, smallCase, task } from './aDay.fixture.js';
import { proveDay, schedule, type Schedule, type Task } from './index.js';
import type { DaySetup } from '../../site/index.js';

let solve: MilpSolver;
beforeAll(async () => {
  // The package’s types describe its CommonJS form; what Node.js imports is the function itself.
  const { default: load } = (await import('highs')) as unknown as { default: () => Promise<Highs> };
  solve = highsSolver(await load());
});

// Time enough: what is proved must not hang on how busy a machine is.
const proofOf = (plan: Schedule, tasks: readonly Task[], setup: DaySetup): Promise<Schedule> =>
  proveDay(plan, { tasks, setup, nowMin: 480, underWay: [] }, solve, 300);

describe('the proof of a day', () => {
  it('never says more than is so, and makes a bad plan the best there is', async () => {
    let proved = 0;
    let all = 0;
    await fc.assert(
      fc.asyncProperty(smallCase, async ({ tasks, setup }) => {
        fc.pre(tasks.every((one) => may(setup, one).length >= one.people));
        const best = bruteEnd(tasks, setup);
        fc.pre(best < Infinity);
        // The first plan that comes, whose own bound is not met.
        const plan = schedule(tasks, setup, { ...from8, tries: 0 });
        fc.pre(!plan.proved);
        const proof = await proofOf(plan, tasks, setup);
        expect(proof.boundMin).toBeLessThanOrEqual(best);
        expect(proof.boundMin).toBeGreaterThanOrEqual(plan.boundMin);
        expect(proof.endMin).toBeLessThanOrEqual(plan.endMin);
        if (proof.proved) expect(proof.endMin).toBe(best);
        all++;
        proved += proof.proved ? 1 : 0;
      }),
      { numRuns: 20, seed: 15 },
    );
    expect(proved / all).toBeGreaterThan(0.8);
  });

  // Four hours of crimping, one crimper, three people who come for two hours: six ends of 20 min go in, of twelve.
  it('of a day which is too short says how much work goes in, and what nobody can do is not asked for', async () => {
    const day = crew('Wenna', 'Joss', 'Petrok');
    const short = {
      ...day,
      people: day.people.map((one) => ({
        ...one,
        hours: [480, 600] as [number, number],
        skills: ['crimp' as const],
      })),
    };
    const ends = Array.from({ length: 12 }, (_, k) => task(`e${k}`, 20, { tools: ['crimper'] }));
    const tasks = [...ends, task('up', 60, { skills: ['climb'] }), task('after', 30, { after: ['up'] })];
    const plan = schedule(tasks, short, from8);
    expect([plan.placed.length, plan.proved]).toEqual([6, false]);
    expect(await proofOf(plan, tasks, short)).toMatchObject({ workBoundMin: 120, proved: true });
  });

  it('work before and after, rain and somebody’s own hands are in the proof', async () => {
    const day = { ...crew('Wenna', 'Joss'), wet: [[540, 660] as [number, number]] };
    // Two seals of an hour by Joss: one before the rain, one after it.
    const seals = ['one', 'two'].map((id) => task(id, 60, { dry: true }));
    const fixed = seals.map(({ id }) => ({ task: id, people: ['Joss'] }));
    const tasks = [...seals, task('paper', 60, { after: ['two'] })];
    const setup = { ...day, fixed };
    const proof = await proofOf(schedule(tasks, setup, { ...from8, tries: 0 }), tasks, setup);
    expect([proof.endMin, proof.proved]).toEqual([720, true]);
  });
});
