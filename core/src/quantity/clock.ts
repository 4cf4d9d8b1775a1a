import { fail, ok, type Result } from './result.js';

const DAY_MIN = 24 * 60;

/**
 * Reads a time of day: `8`, `8:30`, `08.30`, `0830`, `2 pm`.
 *
 * @returns minutes from midnight, 0 to 1440
 * @example parseClock('8:30') // { ok: true, value: 510 }
 */
export function parseClock(text: string): Result<number> {
  const match = /^\s*(\d{1,2})(?:\s*[:.h]?\s*(\d{2}))?\s*(am|pm)?\s*$/i.exec(text);
  if (match) {
    const [, hours, minutes = '0', half] = match;
    const hour = half ? (Number(hours) % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : Number(hours);
    const value = hour * 60 + Number(minutes);
    if (Number(minutes) < 60 && value <= DAY_MIN && (!half || (Number(hours) > 0 && Number(hours) <= 12)))
      return ok(value);
  }
  return fail('clock.unread', `“${text.trim()}” is no time of day.`, 'time', 'Write it like 8:30 or 14:00.');
}

/**
 * Writes a time of day.
 *
 * @param minutes from midnight
 * @example formatClock(510) // '08:30'
 */
export const formatClock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(Math.round(minutes) % 60).padStart(2, '0')}`;
