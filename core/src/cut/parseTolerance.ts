import { fail, ok, type Result } from '../quantity/index.js';
import { splitTerms } from '../quantity/number.js';
import type { PhaseTolerance } from './tolerance.js';

const spelled: Record<string, PhaseTolerance['unit']> = {
  '': 'deg',
  '°': 'deg',
  deg: 'deg',
  degrees: 'deg',
  mm: 'mm',
  ps: 'ps',
};

/**
 * Reads how much phase may be left over: `2°`, `3 mm`, `10 ps`; a bare number is degrees.
 *
 * @example parseTolerance('3 mm') // { ok: true, value: { value: 3, unit: 'mm' } }
 */
export function parseTolerance(text: string): Result<PhaseTolerance> {
  const read = splitTerms(text.replace(/°/g, ' deg'), 'tolerance');
  if (!read.ok) return read;
  const [{ value, unit, at }, ...others] = read.value;
  const known = spelled[unit.toLowerCase()] as PhaseTolerance['unit'] | undefined;
  if (others.length > 0 || !known || !(value > 0))
    return fail(
      'tolerance.unknown',
      `“${text.trim()}” is not a tolerance.`,
      `character ${at + 1}`,
      'Write it like 2°, 3 mm or 10 ps.',
    );
  return ok({ value, unit: known });
}
