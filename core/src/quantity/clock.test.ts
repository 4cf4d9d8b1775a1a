import fc from 'fast-check';
import { expect, it } from 'vitest';
import { formatClock, parseClock } from './index.js';

it('what is written is read again', () =>
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1440 }), (minutes) => {
      expect(parseClock(formatClock(minutes))).toEqual({ ok: true, value: minutes });
    }),
  ));

// ISO 8601 clock times, and the twelve-hour clock: noon is 12 pm, midnight 12 am.
it.each([
  ['8', 480],
  ['08.30', 510],
  ['0830', 510],
  ['14h05', 845],
  ['2 pm', 840],
  ['12 pm', 720],
  ['12am', 0],
  ['24:00', 1440],
])('%s', (text, minutes) => expect(parseClock(text)).toEqual({ ok: true, value: minutes }));

it.each(['', 'noon', '25:00', '8:60', '13 pm', '-8', '24:01'])('“%s” is none', (text) =>
  expect(parseClock(text).ok).toBe(false),
);
