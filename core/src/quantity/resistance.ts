import type { Result } from './result.js';
import { parseScaled } from './scaled.js';

/**
 * What a beeper says: next to nothing between the leads, and no figure. It is kept as a value no meter shows, a millionth of an ohm, so that it goes
 * wherever a reading goes and is never taken for 0 Ω.
 */
export const BY_TONE_OHM = 1e-6;

/**
 * Reads a meter's resistance: `0.3`, `300 mohm`, `0.3 Ω`, `1.2k`, `1k5`, `4R7`, `>200 Mohm`, `OL` (over range), `it beeps`, `silent`.
 *
 * @returns ohm; `Infinity` for an over-range reading
 * @example parseResistance('>200 Mohm') // { ok: true, value: 200000000 }
 */
export function parseResistance(text: string): Result<number> {
  const trimmed = text.trim();
  if (/^(o\.?l\.?|open|inf(inity)?|∞|silent|no beep)$/i.test(trimmed)) return { ok: true, value: Infinity };
  // A beeper says that there is next to nothing between the leads, and no more.
  if (/^(it )?beeps?$|^through, by tone$/i.test(trimmed)) return { ok: true, value: BY_TONE_OHM };
  return parseScaled(pointLetter(trimmed.replace(/^>\s*/, '')), {
    kind: 'resistance',
    units: {
      ohm: 1,
      ohms: 1,
      R: 1,
      mohm: 1e-3,
      kohm: 1e3,
      Mohm: 1e6,
      Gohm: 1e9,
      k: 1e3,
      M: 1e6,
      G: 1e9,
      K: 1e3,
    },
    bare: 'ohm',
    most: 1e13,
    maxText: '10 Tohm',
    caseMatters: true,
    allowZero: true,
  });
}

/** A letter in the place of the point, as resistors are marked: `4R7`, `1k5`, `2M2`. IEC 60062. */
const pointLetter = (text: string): string =>
  text.replace(
    /^(\d+)([RkKMG])(\d+)$/,
    (_, whole: string, unit: string, rest: string) => `${whole}.${rest}${unit === 'R' ? ' ohm' : unit}`,
  );

/**
 * Writes a resistance to three figures.
 *
 * @param ohm resistance; `Infinity` is written `open`, what a beeper said `through, by tone`
 * @example formatResistance(0.312) // '0.312 Ω'
 */
export function formatResistance(ohm: number): string {
  if (ohm === Infinity) return 'open';
  if (ohm === BY_TONE_OHM) return 'through, by tone';
  const [value, unit] =
    ohm >= 1e9
      ? [ohm / 1e9, 'GΩ']
      : ohm >= 1e6
        ? [ohm / 1e6, 'MΩ']
        : ohm >= 1e3
          ? [ohm / 1e3, 'kΩ']
          : ohm >= 0.1 || ohm === 0
            ? [ohm, 'Ω']
            : [ohm * 1e3, 'mΩ'];
  return `${Number(value.toPrecision(3))} ${unit}`;
}
