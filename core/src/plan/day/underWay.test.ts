import { describe, expect, it } from 'vitest';
import { fact } from '../../run/aRun.fixture.js';
import type { Facts } from '../../run/index.js';
import { crew, task } from './aDay.fixture.js';
import { begunAt, earliestEnd, schedule, tookMinutes, underWay } from './index.js';

const at = (hour: number, minute = 0): Date => new Date(2026, 10, 27, hour, minute);
const iso = (hour: number, minute = 0): string => at(hour, minute).toISOString();
const make = task('run-0 make main.a', 30, { runId: 'run-0' });
const other = task('run-0 label', 10, { runId: 'run-0', after: [make.id] });
const begun = fact({ kind: 'task begun', task: 'make main.a' }, iso(9, 2));
const ofRun = (facts: Facts) => () => facts;

describe('work which is under way', () => {
  it('stays with whoever began it, for its usual time, and a little more when it takes longer', () => {
    const [one] = underWay([make, other], ofRun([begun]), at(9, 10));
    expect(one).toMatchObject({ startMin: 540, endMin: 570, people: ['Wenna'] });
    expect(underWay([make], ofRun([begun]), at(10, 7))[0].endMin).toBe(610);
  });

  it('is over when it is done, and of another day is none', () => {
    const done = fact(
      { kind: 'task done', task: 'make main.a', learnedBy: 'make', place: 'bench' },
      iso(9, 40),
    );
    expect(begunAt([begun, done], 'make main.a')).toBeUndefined();
    expect(begunAt([begun], 'make main.a')?.at).toBe(iso(9, 2));
    expect(underWay([make], ofRun([begun]), new Date(2026, 10, 28, 9))).toEqual([]);
  });

  it('the rest is planned around it, and the bound knows that part of it is done', () => {
    const running = underWay([make, other], ofRun([begun]), at(9, 25));
    const plan = schedule([make, other], crew('Wenna'), { nowMin: 565, underWay: running });
    expect(plan.placed.find(({ task: { id } }) => id === other.id)?.startMin).toBe(570);
    expect([plan.endMin, plan.proved]).toEqual([580, true]);
    // Begun only now it would take until 09:55, and the label ten minutes more.
    expect(earliestEnd([make, other], crew('Wenna'), 565)).toBe(605);
  });
});

describe('how long a task took', () => {
  const begun = '2026-11-25T08:00:00.000Z';
  it.each([
    ['2026-11-25T08:42:20.000Z', 42],
    ['2026-11-25T08:00:05.000Z', 1],
    // Ended next morning: nobody worked through the night.
    ['2026-11-26T07:00:00.000Z', undefined],
  ])('ended at %s it is %s minutes', (now, minutes) => expect(tookMinutes(begun, now)).toBe(minutes));
});
