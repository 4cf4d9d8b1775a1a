import { place, splitTerms } from './number.js';
import { fail, ok, type Result } from './result.js';

/**
 * Reads decibels: `1.8`, `1,8 dB`; negative is allowed, since meters show loss with either sign.
 *
 * @returns decibels, within ±200
 * @example parseDecibels('1,8 dB') // { ok: true, value: 1.8 }
 */
export function parseDecibels(text: string): Result<number> {
  const split = splitTerms(text, 'level');
  if (!split.ok) return split;
  const [term, extra] = split.value;
  if (extra)
    return fail('level.two-numbers', 'There is a second number.', place(extra.at), 'Type one number in dB.');
  if (!['', 'db'].includes(term.unit.toLowerCase())) {
    return fail(
      'level.unknown-unit',
      `“${term.unit}” is not decibels.`,
      place(term.at),
      'Type a number, or a number and dB.',
    );
  }
  if (!(Math.abs(term.value) <= 200)) {
    return fail(
      'level.too-large',
      `${term.value} dB is beyond any meter.`,
      place(term.at),
      'Check the figure; ±200 dB is accepted.',
    );
  }
  return ok(term.value);
}

/**
 * Writes decibels, finer when small.
 *
 * @example formatDecibels(1.934) // '1.93 dB'
 */
export function formatDecibels(db: number): string {
  if (!Number.isFinite(db)) return db > 0 ? 'perfect' : '–';
  const written = db.toFixed(Math.abs(db) < 10 ? 2 : 1);
  // Nothing has no sign.
  return `${Number(written) === 0 ? '0.00' : written} dB`;
}
