import { parsePlainNumber } from './plainNumber.js';
import { fail, type Result } from './result.js';

/** Newton metres per pound-force inch: 0.45359237 · 9.80665 · 0.0254, exact. */
const NM_PER_INCH_POUND = 0.45359237 * 9.80665 * 0.0254;

/** Units of torque by how they are written behind a number, N·m; a bare number is N·m. */
const units: readonly [written: RegExp, nm: number][] = [
  [/((in|inch)[-·. ]*lbf?|lbf?[-·. ]*in(ch)?)\s*$/i, NM_PER_INCH_POUND],
  [/((ft|foot)[-·. ]*lbf?|lbf?[-·. ]*(ft|foot))\s*$/i, 12 * NM_PER_INCH_POUND],
  [/n[-·. ]?cm\s*$/i, 0.01],
  [/n[-·. ]?m\s*$/i, 1],
];

/** From the finest coupling to more than any of the trade’s, N·m. */
const [LEAST_NM, MOST_NM] = [0.05, 100];

/**
 * Reads what a torque spanner shows: `0.9`, `0.9 N·m`, `90 N·cm`, `8 in-lb`, `0.7 ft-lb`.
 *
 * @returns N·m, from 0.05 to 100
 * @example parseTorque('90 N·cm') // { ok: true, value: 0.9 }
 */
export function parseTorque(text: string): Result<number> {
  const [written, nmPer] = units.find(([one]) => one.test(text)) ?? [/$/, 1];
  const read = parsePlainNumber(text.replace(written, ''), 'torque');
  if (!read.ok) return read;
  const nm = read.value * nmPer;
  return nm >= LEAST_NM && nm <= MOST_NM
    ? { ok: true, value: nm }
    : fail(
        'torque.range',
        `${text.trim()} is no torque of a coupling.`,
        'torque',
        'Check the unit: N·m, N·cm, in-lb or ft-lb.',
      );
}
