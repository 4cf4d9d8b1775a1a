import { formatResistance } from '../quantity/index.js';
import type { Expectation } from './expectations.js';

/** A reading which would be right in another unit: a question, not an acceptance. */
export interface UnitDoubt {
  /** What was typed, ohm. */
  value: number;
  /** What it would be in the unit which was probably meant, ohm. */
  meant: number;
  question: string;
}

/** Slips of the prefix: milli, kilo, mega. */
const SLIPS = [1e-3, 1e3, 1e-6, 1e6];

/**
 * Was the unit mistaken? Only where the reading as typed is out of its limits and the same digits with another prefix are within.
 *
 * @example unitDoubt(loop, 300) // asks whether 0.3 ohm was meant, for a cable of 0.3 ohm
 */
export function unitDoubt({ expected, least, most }: Expectation, value: number): UnitDoubt | undefined {
  const within = (ohm: number): boolean => ohm >= least && ohm <= most;
  if (!Number.isFinite(value) || value === 0 || expected.unit !== 'ohm' || within(value)) return undefined;
  const meant = SLIPS.map((slip) => value * slip).find(within);
  if (meant === undefined) return undefined;
  const limits =
    most === Infinity ? `above ${formatResistance(least)}` : `about ${formatResistance(expected.value)}`;
  return {
    value,
    meant,
    question: `${formatResistance(value)} where ${limits} is expected: did you mean ${formatResistance(meant)}?`,
  };
}
