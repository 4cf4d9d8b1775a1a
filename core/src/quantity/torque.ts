import { parsePlainNumber } from './plainNumber.js';
import { fail, type Result } from './result.js';

/** Newton metres per pound-force inch: 0.45359237 · 9.80665 · 0.0254, exact. */
const NM_PER_INCH_POUND = 0.45359237 * 9.80665 * 0.0254;

/** From the finest coupling to more than any of the trade’s, N·m. */
const [LEAST_NM, MOST_NM] = [0.05, 100];

/**
 * Reads what a torque spanner shows: `0.9`, `0.9 N·m`, `8 in-lb`.
 *
 * @returns N·m, from 0.05 to 100
 * @example parseTorque('0.9 N·m') // { ok: true, value: 0.9 }
 */
export function parseTorque(text: string): Result<number> {
  const inches = /(in|inch)[-·. ]*lbf?|lbf?[-·. ]*in(ch)?/i;
  const read = parsePlainNumber(text.replace(inches, '').replace(/n[-·. ]?m\s*$/i, ''), 'torque');
  if (!read.ok) return read;
  const nm = inches.test(text) ? read.value * NM_PER_INCH_POUND : read.value;
  return nm >= LEAST_NM && nm <= MOST_NM
    ? { ok: true, value: nm }
    : fail(
        'torque.range',
        `${text.trim()} is no torque of a coupling.`,
        'torque',
        'Check the unit: N·m or in-lb.',
      );
}
