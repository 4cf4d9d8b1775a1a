import { expect, it } from 'vitest';
import { usualDay } from '../../site/index.js';
import { planFrom } from './planFrom.js';

const crew = usualDay(['Wenna', 'Joss']);
const at = (hour: number, minute = 0): Date => new Date(2026, 10, 26, hour, minute);

it('on the evening before from the first hour, though somebody worked yesterday', () =>
  expect(planFrom(crew, [at(9).toISOString()], new Date(2026, 10, 27, 7))).toBe(480));
it('from now on, once something was done today', () =>
  expect(planFrom(crew, [at(9).toISOString()], at(11, 20))).toBe(680));
it('nobody has begun yet: from the first hour', () => expect(planFrom(crew, [], at(11))).toBe(480));
it('after the last hour it is tomorrow', () =>
  expect(planFrom(crew, [at(9).toISOString()], at(19))).toBe(480));
