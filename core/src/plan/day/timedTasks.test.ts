import { describe, expect, it } from 'vitest';
import { fact } from '../../run/aRun.fixture.js';
import { timedTasks } from './index.js';

const at = (clock: string): string => `2026-11-10T${clock}:00.000Z`;
const begun = (clock: string, over: object = {}) =>
  fact(
    {
      kind: 'task begun',
      task: 'make main.a',
      learnedBy: 'crimp-n',
      place: 'bench',
      ends: { kind: 'end made', about: 'main.a' },
      ...over,
    },
    at(clock),
  );
const made = (clock: string, endId = 'main.a') => fact({ kind: 'end made', endId }, at(clock));
const minutesOf = (...facts: Parameters<typeof timedTasks>[0]): number[] =>
  timedTasks(facts).map(({ minutes }) => minutes);

// By the meaning of the words: from *Begin* to the entry which shows that it is done.
describe('how long tasks took, by the log', () => {
  it('from its beginning to its own entry, by its recipe, place and hand', () => {
    expect(timedTasks([begun('09:00'), made('09:14')])).toEqual([
      { learnedBy: 'crimp-n', place: 'bench', by: expect.any(String) as string, minutes: 14 },
    ]);
    expect(minutesOf(begun('09:00'), made('09:14', 'main.b'))).toEqual([]);
    expect(minutesOf(made('08:50'), begun('09:00'))).toEqual([]);
  });

  it('of several readings the last ends it', () => {
    const reading = (clock: string) =>
      fact({ kind: 'reading', pieceId: 'main', expectation: 'loop', value: 0.3 }, at(clock));
    const test = begun('09:00', { task: 'test main', ends: { kind: 'reading', about: 'main' } });
    expect(minutesOf(test, reading('09:04'), reading('09:09'))).toEqual([9]);
  });

  it('begun anew counts from then, and what was forgotten over night is no time', () => {
    expect(minutesOf(begun('09:00'), begun('10:00'), made('10:12'))).toEqual([12]);
    expect(minutesOf(begun('06:00'), made('14:01'))).toEqual([]);
  });

  it('what somebody typed is taken as it is, and not twice', () => {
    const typed = fact(
      { kind: 'task done', task: 'make main.a', learnedBy: 'crimp-n', place: 'bench', minutes: 11 },
      at('09:15'),
    );
    expect(minutesOf(begun('09:00'), made('09:14'), typed)).toEqual([11]);
  });

  it('logs of earlier versions say nothing of recipe and place, and teach nothing', () =>
    expect(minutesOf(fact({ kind: 'task begun', task: 'make main.a' }, at('09:00')), made('09:10'))).toEqual(
      [],
    ));
});
