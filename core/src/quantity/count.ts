import { parsePlainNumber } from './plainNumber.js';
import { fail, type Result } from './result.js';

/**
 * Reads how many of something there are.
 *
 * @returns a whole number from `least` to `most`
 * @example parseCount('4', 1, 50) // { ok: true, value: 4 }
 */
export function parseCount(text: string, least: number, most: number): Result<number> {
  const read = parsePlainNumber(text, 'count');
  if (!read.ok || (Number.isInteger(read.value) && read.value >= least && read.value <= most)) return read;
  return fail(
    'count.not-whole',
    `“${text.trim()}” is not a whole number from ${least} to ${most}.`,
    'count',
    `Type ${least}, ${least + 1}, ${least + 2}, …`,
  );
}
