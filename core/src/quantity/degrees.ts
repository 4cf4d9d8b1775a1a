import type { Result } from './result.js';
import { parseScaled } from './scaled.js';

/**
 * Reads an electrical length: `90`, `450°`, `0.25 wave`.
 *
 * @returns degrees, at most 36 000 (a hundred waves)
 * @example parseDegrees('0.25 wave') // { ok: true, value: 90 }
 */
export function parseDegrees(text: string): Result<number> {
  return parseScaled(text.replace(/°/g, ' deg'), {
    kind: 'angle',
    units: { deg: 1, wave: 360, waves: 360 },
    bare: 'deg',
    most: 36_000,
    maxText: 'a hundred waves',
  });
}
