import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crew, task } from './aDay.fixture.js';
import { leftAfter, schedule, type Schedule } from './index.js';

// By the meaning of the words: what does not go into a day goes into one of the next, once, and after what it waits for.
describe('days which follow each other', () => {
  it('do everything once, in its order, and come to an end', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            minutes: fc.integer({ min: 20, max: 200 }),
            after: fc.array(fc.nat(24), { maxLength: 2 }),
          }),
          { minLength: 8, maxLength: 25 },
        ),
        (drafts) => {
          const tasks = drafts.map(({ minutes, after }, k) =>
            task(`t${k}`, minutes, {
              after: [...new Set(after.filter((n) => n < k))].map((n) => `t${n}`),
            }),
          );
          const dayOf = new Map<string, number>();
          let open = tasks;
          // One person works eight hours and a half a day: 25 tasks of 200 minutes are 83 hours.
          for (let day = 0; open.length > 0; day++) {
            expect(day).toBeLessThan(15);
            const plan: Schedule = schedule(open, crew('Wenna'), { nowMin: 480, tries: 3 });
            for (const { task: one } of plan.placed) {
              expect(dayOf.has(one.id)).toBe(false);
              for (const before of one.after) expect(dayOf.get(before) ?? day).toBeLessThanOrEqual(day);
              dayOf.set(one.id, day);
            }
            open = leftAfter(plan);
          }
          expect(dayOf.size).toBe(tasks.length);
          for (const { id, after } of tasks)
            for (const before of after)
              expect(dayOf.get(before) ?? Infinity).toBeLessThanOrEqual(dayOf.get(id) ?? -1);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('what nobody could do on one day, whoever comes the next day does', () => {
    const climb = task('up', 30, { skills: ['climb'] });
    const ground = crew('Petrok');
    const first = schedule(
      [climb, task('down', 30, { after: ['up'] })],
      { ...ground, people: ground.people.map((one) => ({ ...one, skills: [] })) },
      { nowMin: 480 },
    );
    expect(first.placed).toEqual([]);
    const second = schedule(leftAfter(first), crew('Wenna'), { nowMin: 480 });
    expect(second.placed.map(({ task: { id } }) => id)).toEqual(['up', 'down']);
  });
});
