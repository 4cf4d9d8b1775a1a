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

/** Units from the largest, and the places of what was worked out, not typed. */
const units: readonly [hertz: number, name: string, places: number, most: number][] = [
  [1e9, 'GHz', 4, 9],
  [1e6, 'MHz', 3, 6],
  [1e3, 'kHz', 1, 3],
  [1, 'Hz', 0, 0],
];

/** What lies so near to a whole hertz was typed as one, Hz. */
const WHOLE_HZ = 1e-3;

/**
 * Writes a frequency: one in whole hertz, as channels are, with as many places as it has; one that was worked out to about 1 kHz.
 *
 * @param hertz frequency, Hz
 * @example formatFrequency(1296.138e6) // '1.296138 GHz'
 */
export function formatFrequency(hertz: number): string {
  const whole = Math.round(hertz);
  const isWhole = Math.abs(hertz - whole) < WHOLE_HZ;
  for (const [scale, name, places, most] of units) {
    const written = Number(((isWhole ? whole : hertz) / scale).toFixed(isWhole ? most : places));
    // Rounded, so that 999.9999 MHz is 1 GHz and never 1000 MHz.
    if (written >= 1 || scale === 1) return `${written} ${name}`;
  }
  return `${hertz} Hz`;
}
