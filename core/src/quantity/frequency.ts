import type { Result } from './result.js';
import { parseScaled } from './scaled.js';

/**
 * Reads a frequency: `150.8MHz`, `5,37 MHz`, `2.4 GHz`; a bare number is MHz, as the trade speaks.
 *
 * @returns hertz, at most 100 GHz
 * @example parseFrequency('150.8MHz') // { ok: true, value: 150800000 }
 */
export function parseFrequency(text: string): Result<number> {
  return parseScaled(text, {
    kind: 'frequency',
    units: { hz: 1, khz: 1e3, mhz: 1e6, ghz: 1e9 },
    bare: 'mhz',
    most: 100e9,
    maxText: '100 GHz',
    pointIsDecimal: true,
    // 145.500 MHz is how a channel is written, and nobody has 145 GHz.
    beyondIsUnmeant: true,
  });
}

/**
 * Writes a frequency with the fewest digits which keep it to 1 kHz.
 *
 * @param hertz frequency, Hz
 * @example formatFrequency(452.3e6) // '452.3 MHz'
 */
export function formatFrequency(hertz: number): string {
  if (hertz >= 1e9) return `${trim(hertz / 1e9, 4)} GHz`;
  if (hertz >= 1e6) return `${trim(hertz / 1e6, 3)} MHz`;
  if (hertz >= 1e3) return `${trim(hertz / 1e3, 1)} kHz`;
  return `${trim(hertz, 0)} Hz`;
}

const trim = (value: number, digits: number): string => String(Number(value.toFixed(digits)));
