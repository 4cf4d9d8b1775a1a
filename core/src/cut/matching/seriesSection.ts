import type { Cable } from '../../catalog/index.js';
import { cableLine, type Complex } from '../../line/index.js';
import type { MatchDevice } from './device.js';
import { piece } from './quarterWave.js';

const DEGREES = 180 / Math.PI;
const within = (degrees: number): number => ((degrees % 180) + 180) % 180;

/**
 * A section of another impedance in the line, at a distance from the load, both shorter than half a wave.
 *
 * With n = Z1/Z0, r = R/Z0, x = X/Z0: tan l2 = ± √[((r − 1)² + x²) / (r (n − 1/n)² − (r − 1)² − x²)] and
 * tan l1 = ((n − r/n) tan l2 + x) / (r + x n tan l2 − 1). Source: F. A. Regier’s series-section equations, as The ARRL Antenna Book gives them.
 *
 * @param load at the frequency, ohm
 * @returns both solutions, the shorter first; none when the section’s impedance is too near the line’s for this load
 */
export function seriesSections(
  load: Complex,
  frequencyHz: number,
  runCable: Cable,
  section: Cable,
): MatchDevice[] {
  const n = section.impedanceOhm / runCable.impedanceOhm;
  const r = load.re / runCable.impedanceOhm;
  const x = load.im / runCable.impedanceOhm;
  const away = (r - 1) ** 2 + x ** 2;
  const room = r * (n - 1 / n) ** 2 - away;
  if (room <= 0 || away < 1e-9) return [];
  return [1, -1]
    .map((sign): MatchDevice => {
      const b = sign * Math.sqrt(away / room);
      const l2 = within(Math.atan(b) * DEGREES);
      const l1 = within(Math.atan(((n - r / n) * b + x) / (r + x * n * b - 1)) * DEGREES);
      const pieces = [
        piece('series section', section, l2, frequencyHz),
        piece('from the section to the load', runCable, l1, frequencyHz),
      ];
      return {
        name: 'Series section',
        frequencyHz,
        pieces,
        elements: pieces.map((one) => cableLine(one.cable, one.lengthM)),
      };
    })
    .sort((p, q) => total(p) - total(q));
}

const total = ({ pieces }: MatchDevice): number => pieces.reduce((sum, { lengthM }) => sum + lengthM, 0);
