import { formatFrequency, formatLength, type UnitSystem } from '../quantity/index.js';
import { curveDrawing } from './curveDrawing.js';
import type { PrintedEcho } from './birthEcho.js';
import type { Block } from './report.js';

/** A sweep as it is printed: return loss over frequency, and what comes back from where. */
export interface PrintedSweep {
  name: string;
  at: string;
  frequencyHz: ArrayLike<number>;
  returnLossDb: ArrayLike<number>;
  /** Nothing where the sweep gives none. */
  echo: PrintedEcho | undefined;
}

/** A better match than this no meter of the trade tells from a perfect one, whose return loss has no end. From memory. */
const DEEPEST_DB = 60;

/** Return loss of a sweep, good downwards: where several samples share a place the worst is drawn. */
export function sweepDrawing({ name, frequencyHz, returnLossDb: sampled }: PrintedSweep): Block {
  const returnLossDb = Array.from(sampled, (db) => Math.min(db, DEEPEST_DB));
  const [from, to] = [frequencyHz[0], frequencyHz[frequencyHz.length - 1]].map(formatFrequency);
  const worst = Math.min(...returnLossDb);
  return curveDrawing({
    x: frequencyHz,
    y: returnLossDb,
    keeps: 'least',
    lowest: Math.max(...returnLossDb),
    title: `Return loss, ${name}`,
    from,
    to,
    unit: 'dB',
    says: `Return loss from ${from} to ${to}, at worst ${worst.toFixed(1)} dB.`,
  });
}

/** Weaker echoes than this are noise on paper, dB below everything coming back. */
const WEAKEST_DB = 60;

/** What comes back from where along the line, largest upwards. */
export function echoDrawing({ distanceM, returnLossDb, peaks }: PrintedEcho, units: UnitSystem): Block {
  const metres = (value: number): string => formatLength(value, { system: units });
  const end = metres(distanceM[distanceM.length - 1]);
  return curveDrawing({
    x: distanceM,
    y: returnLossDb,
    keeps: 'least',
    lowest: WEAKEST_DB,
    title: 'Echo along the line',
    from: metres(0),
    to: end,
    unit: 'dB',
    says: `Echo along ${end}: ${peaks
      .slice(0, 4)
      .map(({ name, distanceM: at, returnLossDb: db }) => `${name} at ${metres(at)} ${db.toFixed(1)} dB`)
      .join(', ')}.`,
  });
}
