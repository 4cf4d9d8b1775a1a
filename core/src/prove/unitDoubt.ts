import { BY_TONE_OHM, formatResistance } from '../quantity/index.js';
import type { Expectation } from './expectations.js';

/** A reading which would be right in another unit: a question, not an acceptance. */
export interface UnitDoubt {
  /** What was typed, ohm. */
  value: number;
  /** What it would be in the unit which was probably meant, ohm. */
  meant: number;
  question: string;
}

/** One prefix too far either way; and a bare number where megohms are meant, as a megger shows it. */
const SLIPS = [1e-3, 1e3];
const BARE_MEGOHM = 1e6;
const BARE_MOST = 1000;
/** A reading which is less far off is wrong, not mistyped. Common practice, no source. */
const FAR_OFF = 300;

/**
 * Was the unit mistaken? Only where the reading as typed is out of its limits and the same digits with another prefix are within.
 *
 * @example unitDoubt(loop, 300) // asks whether 0.3 ohm was meant, for a cable of 0.3 ohm
 */
export function unitDoubt({ expected, least, most }: Expectation, value: number): UnitDoubt | undefined {
  const within = (ohm: number): boolean => ohm >= least && ohm <= most;
  if (
    !Number.isFinite(value) ||
    value === 0 ||
    value === BY_TONE_OHM ||
    expected.unit !== 'ohm' ||
    within(value)
  )
    return undefined;
  const isFar = value > most ? value / most >= FAR_OFF : least / value >= FAR_OFF;
  if (!isFar) return undefined;
  const slips = value < BARE_MOST ? [...SLIPS, BARE_MEGOHM] : SLIPS;
  const meant = slips.map((slip) => value * slip).find(within);
  if (meant === undefined) return undefined;
  const limits =
    most === Infinity ? `above ${formatResistance(least)}` : `about ${formatResistance(expected.value)}`;
  return {
    value,
    meant,
    question: `${formatResistance(value)} where ${limits} is expected: did you mean ${formatResistance(meant)}?`,
  };
}
