import canonicalize from 'canonicalize';
import { fail, type Problem } from '../../quantity/index.js';
import type { Fact } from '../facts/kinds.js';
import { textHash } from './hash.js';

/** The head of a log without entries. */
export const EMPTY_LOG = textHash('kobran-log/1');

/** An entry of a log: a fact of a run, or what the crew’s log has. */
export interface LogEntry {
  id: string;
}

/** What an entry says. Its id is a row's name in one database and another in the next: it is no part of it. */
const saidBy = ({ id: _, ...entry }: LogEntry): string => canonicalize(entry) ?? '';

/**
 * The hash of an entry: it stands for the entry and, by the hash of the one before, for every entry up to it.
 *
 * @param before hash of the entry before, {@link EMPTY_LOG} for the first
 */
export const entryHash = (before: string, entry: LogEntry): string => textHash(`${before}\n${saidBy(entry)}`);

/** The hashes of entries in the order in which they came. */
export function chained(entries: readonly LogEntry[], before = EMPTY_LOG): string[] {
  let last = before;
  return entries.map((entry) => (last = entryHash(last, entry)));
}

/** A log as it is kept: entries in the order in which they came, the hash of each, and of the last one apart. */
export interface KeptLog<Entry extends LogEntry = Fact> {
  facts: readonly Entry[];
  hashes: readonly string[];
  head: string;
}

/** What a check of a log found. */
export type LogCheck =
  | { sound: true; entries: number; head: string }
  | {
      sound: false;
      /** The first entry that does not fit, from 1; one more than there are when the last ones are missing. */
      entry: number;
      problem: Problem;
    };

/**
 * Does a log say what was written into it? Finds any entry that was changed, taken out, put in or moved. Somebody who may write everywhere
 * can chain all of it anew: the head on a printed as-built tells of that.
 */
export function checkLog({ facts, hashes, head }: KeptLog<LogEntry>): LogCheck {
  const right = chained(facts);
  const wrong = right.findIndex((hash, k) => hash !== hashes[k]);
  if (wrong >= 0)
    return broken(
      wrong + 1,
      `Entry ${wrong + 1} of the log is not what was written: it was changed, moved or put in later, or an entry before it was taken out.`,
    );
  if ((right.at(-1) ?? EMPTY_LOG) !== head || hashes.length !== facts.length)
    return broken(
      facts.length + 1,
      `Entries are missing at the end of the log, after entry ${facts.length}.`,
    );
  return { sound: true, entries: facts.length, head };
}

const broken = (entry: number, message: string): LogCheck => ({
  sound: false,
  entry,
  problem: fail(
    'log.broken',
    message,
    `log[${entry - 1}]`,
    'Compare it with an older export, a backup or a printed as-built, and write what you find as a note.',
  ).problem,
});
