import { splitTerms } from './number.js';
import { fail, ok, type Result } from './result.js';

/**
 * Reads a plain number without a unit: `0.85`, `0,85`, `6 1/2`.
 *
 * @param what is being typed, for messages
 */
export function parsePlainNumber(text: string, what: string): Result<number> {
  const read = splitTerms(text, what);
  if (!read.ok) return read;
  const [{ value, unit, at }, ...others] = read.value;
  return others.length === 0 && unit === ''
    ? ok(value)
    : fail(
        `${what}.not-plain`,
        `“${text.trim()}” is not a plain number.`,
        `character ${at + 1}`,
        'Type one number without a unit.',
      );
}
