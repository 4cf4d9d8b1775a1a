import type { UnitSystem } from './length.js';
import type { Result } from './result.js';
import { parseScaled } from './scaled.js';

/** Metres per second in a mile per hour: exact, by the international mile. */
const MPH = 0.44704;

/**
 * Reads the speed of wind: `30 m/s`, `110 km/h`, `70 mph`, `60 kn`; a bare number is metres per second, or miles per hour in US units.
 *
 * @returns m/s, at most 120
 * @example parseSpeed('108 km/h', 'metric') // { ok: true, value: 30 }
 */
export const parseSpeed = (text: string, system: UnitSystem): Result<number> =>
  parseScaled(text.replace(/m\s*\/\s*s/i, 'mps').replace(/km\s*\/\s*h/i, 'kph'), {
    kind: 'speed',
    units: { mps: 1, kph: 1 / 3.6, mph: MPH, kn: 1852 / 3600 },
    bare: system === 'metric' ? 'mps' : 'mph',
    most: 120,
    maxText: '120 m/s',
  });

export const formatSpeed = (metresPerSecond: number, system: UnitSystem): string =>
  system === 'metric'
    ? `${Number(metresPerSecond.toFixed(1))} m/s`
    : `${Math.round(metresPerSecond / MPH)} mph`;
