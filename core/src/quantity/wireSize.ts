import type { UnitSystem } from './length.js';
import { parsePlainNumber } from './plainNumber.js';
import { fail, ok, type Result } from './result.js';
import { awgOfMm2, wireMm2 } from './wire.js';

/**
 * Reads the size of a wire, mm²: `16 mm²`, `16mm2`, `16`, `6 AWG`, `#6`, `1/0`, `2/0 AWG`.
 *
 * @example parseWireSize('16 mm²') // { ok: true, value: 16 }
 */
export function parseWireSize(text: string): Result<number> {
  const trimmed = text.trim();
  const noughts = /^#?\s*([1-4])\s*\/\s*0(?:\s*awg)?$/i.exec(trimmed);
  if (noughts) return ok(wireMm2(1 - Number(noughts[1])));
  const gauge = /^(?:#\s*(\d{1,2})|(\d{1,2})\s*(?:awg|ga))$/i.exec(trimmed);
  if (gauge) return ok(wireMm2(Number(gauge[1] ?? gauge[2])));
  const read = parsePlainNumber(trimmed.replace(/\s*mm\s*(?:\^?2|²)$/i, ''), 'wire size');
  if (!read.ok) return read;
  return read.value > 0
    ? read
    : fail(
        'wire.no-size',
        `“${trimmed}” is no size of a wire.`,
        'wire size',
        'Type an area as 16 mm², or a gauge as 6 AWG.',
      );
}

/**
 * Writes the size of a wire: its area, or the nearest gauge.
 *
 * @example formatWireSize(16, 'metric') // '16 mm²'
 */
export function formatWireSize(mm2: number, system: UnitSystem): string {
  if (system === 'metric') return `${Number(mm2.toFixed(1))} mm²`;
  const awg = Math.round(awgOfMm2(mm2));
  return awg >= 1 ? `${awg} AWG` : `${1 - awg}/0 AWG`;
}
