import { splitTerms } from './number.js';
import { fail, ok, type Result } from './result.js';

const COLDEST_C = -60;
const HOTTEST_C = 85;

/**
 * Reads a temperature: `35`, `35 °C`, `95 F`.
 *
 * @returns °C, from −60 to 85
 * @example parseCelsius('95 F') // { ok: true, value: 35 }
 */
export function parseCelsius(text: string): Result<number> {
  const read = splitTerms(text.replace(/°/g, ' '), 'temperature');
  if (!read.ok) return read;
  const [{ value, unit, at }, ...others] = read.value;
  if (others.length > 0 || !/^[cf]?$/i.test(unit))
    return fail(
      'temperature.unknown-unit',
      `“${text.trim()}” is not a temperature.`,
      `character ${at + 1}`,
      'Write it like 35 °C or 95 F.',
    );
  const celsius = /f/i.test(unit) ? ((value - 32) * 5) / 9 : value;
  if (celsius < COLDEST_C || celsius > HOTTEST_C)
    return fail(
      'temperature.range',
      `${Math.round(celsius)} °C is no place for a cable.`,
      `character ${at + 1}`,
      `Give a temperature between ${COLDEST_C} and ${HOTTEST_C} °C.`,
    );
  return ok(celsius);
}
