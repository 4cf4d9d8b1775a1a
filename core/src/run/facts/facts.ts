import type { EndRecord } from './endRecord.js';
import type { PowerRecord } from './powerRecord.js';
import type { TrimRecord } from './trimRecord.js';

/** What has been read and done: rows kept beside a design, never inside it. */

/** One meter reading of one assembly. */
export interface Reading {
  id: string;
  pieceId: string;
  /** Which expectation it answers: `loop`, `insulation`, `loss@452300000`. */
  expectation: string;
  /** In the SI unit of the expectation; over range is null in documents, since JSON has no infinity. */
  value: number | null;
  by: string;
  /** ISO 8601. */
  at: string;
}

export const logKinds = [
  'end made',
  'end failed',
  'deviation',
  'damaged',
  'cut',
  'not cut',
  'trimmed',
  'power step',
  'routed',
  'bonded',
  'sealed',
  'handed over',
  'note',
] as const;
export type LogKind = (typeof logKinds)[number];

/** One line of the run's log. */
export interface LogEntry {
  id: string;
  kind: LogKind;
  /** What it is about: an end (`main.a`), a piece (`main`), a joint (`main>yagi`) or the run (empty). */
  about: string;
  text: string;
  by: string;
  at: string;
  /** Of an entry about an end: the same in figures. */
  end?: EndRecord;
  /** Of a reading while a piece was trimmed: the same in figures. */
  trim?: TrimRecord;
  /** Of a power step: the same in figures. */
  power?: PowerRecord;
}

export interface Facts {
  readings: readonly Reading[];
  log: readonly LogEntry[];
}

export const noFacts: Facts = { readings: [], log: [] };

/** An over-range reading is stored as null. */
export const readingValue = ({ value }: Reading): number => value ?? Infinity;

/** The newest reading for an expectation of a piece. */
export function latestReading(facts: Facts, pieceId: string, expectation: string): Reading | undefined {
  return facts.readings
    .filter((reading) => reading.pieceId === pieceId && reading.expectation === expectation)
    .reduce<Reading | undefined>(
      (newest, reading) => (newest && newest.at > reading.at ? newest : reading),
      undefined,
    );
}

const endKinds: readonly LogKind[] = ['end made', 'end failed', 'damaged'];

/** Is this end made? A later failure or damage takes it back. */
export function endMade(facts: Facts, endId: string): boolean {
  const last = facts.log
    .filter(({ kind, about }) => about === endId && endKinds.includes(kind))
    .reduce<LogEntry | undefined>((newest, one) => (newest && newest.at > one.at ? newest : one), undefined);
  return last?.kind === 'end made';
}

/** Is this piece cut? A booking that was taken back is none. */
export function isCut(facts: Facts, pieceId: string): boolean {
  const last = facts.log
    .filter(({ kind, about }) => about === pieceId && (kind === 'cut' || kind === 'not cut'))
    .reduce<LogEntry | undefined>((newest, one) => (newest && newest.at > one.at ? newest : one), undefined);
  return last?.kind === 'cut';
}

export const logged = (facts: Facts, kind: LogKind, about: string): boolean =>
  facts.log.some((entry) => entry.kind === kind && entry.about === about);
