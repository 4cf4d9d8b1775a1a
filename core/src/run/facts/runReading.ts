import { formatDecibels, formatPower, formatResistance } from '../../quantity/index.js';
import type { FactKind } from './fact.js';

/** What is read of a whole run with a meter: typed, where no file is at hand. */
export const runReadingIds = [
  'return loss',
  'loss',
  'pin to shell',
  'swr',
  'power',
  'load alone',
  'antenna alone',
] as const;
export type RunReadingId = (typeof runReadingIds)[number];

/** One meter reading of the whole run, or of the load or antenna alone as its reference. */
export interface RunReading {
  kind: 'run reading';
  what: RunReadingId;
  /** dB, ohm, W, or a standing-wave ratio; over range is null. */
  value: number | null;
}

const formatOf: Record<RunReadingId, (value: number) => string> = {
  'return loss': formatDecibels,
  loss: formatDecibels,
  'pin to shell': formatResistance,
  swr: (value) => `SWR ${value.toFixed(2)}`,
  power: formatPower,
  'load alone': (value) => `SWR ${value.toFixed(2)}`,
  'antenna alone': (value) => `SWR ${value.toFixed(2)}`,
};

export const runReading: FactKind<RunReading> = {
  kind: 'run reading',
  about: ({ what }) => what,
  text: ({ what, value }) => `${what}: ${value === null ? 'over range' : formatOf[what](value)}`,
};
