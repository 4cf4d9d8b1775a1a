import { fail, ok, type Result } from './result.js';

/**
 * Reads a latitude or longitude in degrees: `51.3`, `-4,2`, `4.2 W`, `S 33.9`.
 *
 * @param most 90 for a latitude, 180 for a longitude
 * @example parseCoordinate('4.2 W', 180) // { ok: true, value: -4.2 }
 */
export function parseCoordinate(text: string, most: 90 | 180): Result<number> {
  const trimmed = text.trim();
  const letters = most === 90 ? 'NS' : 'EW';
  const parts = new RegExp(
    `^([${letters}])?\\s*([-−]?\\d+(?:[.,]\\d+)?)\\s*°?\\s*([${letters}])?$`,
    'i',
  ).exec(trimmed);
  const side = (parts?.[1] ?? parts?.[3] ?? '').toUpperCase();
  const value = parts ? Number(parts[2].replace(',', '.').replace('−', '-')) : NaN;
  return Math.abs(value) <= most && !(side !== '' && value < 0)
    ? ok(side === 'S' || side === 'W' ? -value : value)
    : fail(
        'coordinate.not-degrees',
        `“${trimmed}” is no ${most === 90 ? 'latitude' : 'longitude'} in degrees.`,
        'coordinate',
        `Type degrees with decimals, up to ${most}, as ${most === 90 ? '51.3 N' : '4.2 W'}.`,
      );
}
