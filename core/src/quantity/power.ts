import { place, splitTerms } from './number.js';
import { fail, ok, type Result } from './result.js';
import { parseScaled } from './scaled.js';

/** dBm to watts: 0 dBm is one milliwatt. */
export const wattsFromDbm = (dbm: number): number => 10 ** (dbm / 10 - 3);

/** Watts to dBm. */
export const dbmFromWatts = (watts: number): number => 10 * Math.log10(watts) + 30;

/**
 * Reads a power: `10 W`, `500 mW`, `1.5 kW`, `40 dBm`; a bare number is watts.
 *
 * @param options `allowZero`: what a meter shows, or a receive-only port, may be nothing
 * @returns watts, at most 100 kW
 * @example parsePower('40 dBm') // { ok: true, value: 10 }
 */
export function parsePower(text: string, { allowZero = false } = {}): Result<number> {
  const split = splitTerms(text, 'power');
  if (split.ok && split.value.length === 1 && split.value[0].unit.toLowerCase() === 'dbm') {
    const dbm = split.value[0].value;
    if (dbm < -60 || dbm > 80) {
      return fail(
        'power.too-large',
        `${dbm} dBm is not a transmitter's power.`,
        place(0),
        'Check the unit; −60 to 80 dBm is accepted.',
      );
    }
    return ok(wattsFromDbm(dbm));
  }
  return parseScaled(text.replace(/MW\s*$/, ' megawatt'), {
    kind: 'power',
    units: { w: 1, mw: 1e-3, kw: 1e3, megawatt: 1e6 },
    bare: 'w',
    most: 100e3,
    maxText: '100 kW',
    allowZero,
  });
}

/**
 * Writes a power to three figures.
 *
 * @param watts power, W
 * @example formatPower(6.42) // '6.42 W'
 */
export function formatPower(watts: number): string {
  if (watts === 0) return '0 W';
  // Rounded first, so that 999.7 W is 1 kW and never 1000 W.
  const rounded = Number(watts.toPrecision(3));
  if (rounded >= 1000) return `${threeFigures(rounded / 1000)} kW`;
  if (rounded >= 1) return `${threeFigures(rounded)} W`;
  return `${threeFigures(rounded * 1000)} mW`;
}

const threeFigures = (value: number): string => String(Number(value.toPrecision(3)));
