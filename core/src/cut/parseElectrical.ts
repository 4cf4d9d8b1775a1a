import { fail, ok, parseDegrees, parseScaled, type Result } from '../quantity/index.js';

/**
 * Reads an electrical length as people say it: `90°`, `1/4 wave`, `0.25 λ`, `2.5 ns`, `800 ps`.
 *
 * @param frequencyHz at which waves and times become degrees, Hz
 * @returns degrees
 * @example parseElectrical('1/4 wave', 145e6) // { ok: true, value: 90 }
 */
export function parseElectrical(text: string, frequencyHz: number): Result<number> {
  const folded = text.trim().toLowerCase();
  const wave = /^(\d+(?:[.,]\d+)?)(?:\s*\/\s*(\d+))?\s*(?:waves?|wavelengths?|wl|λ|lambda)$/.exec(folded);
  const greek = /^(?:λ|lambda)\s*\/\s*(\d+)$/.exec(folded);
  const time = /^(.*\d)\s*(ns|ps)$/.exec(folded);
  const number = (digits: string): number => Number(digits.replace(',', '.'));
  if (greek) return within(360 / Number(greek[1]), text);
  if (wave) return within((360 * number(wave[1])) / Number(wave[2] ?? 1), text);
  if (time) {
    // `1,500 ps` has two readings, as every other number.
    const read = parseScaled(folded, {
      kind: 'delay',
      units: { ns: 1e-9, ps: 1e-12 },
      most: 1e-3,
      maxText: '1 ms',
    });
    return read.ok ? within(read.value * frequencyHz * 360, text) : read;
  }
  const degrees = parseDegrees(text);
  return degrees.ok ? within(degrees.value, text) : degrees;
}

const MAX_DEGREES = 36_000;

const within = (degrees: number, text: string): Result<number> =>
  degrees >= 0.1 && degrees <= MAX_DEGREES
    ? ok(degrees)
    : fail(
        'electrical.range',
        `“${text.trim()}” is no electrical length anyone cuts.`,
        'field',
        'Type it like 90°, 1/4 wave or 2.5 ns.',
      );
