import { isObject } from '@kobran/core';

type Entry = Record<string, unknown>;

const ofEnd = ({ about, end }: Entry): Entry => ({ endId: about, ...(end ? { end } : {}) });
const ofPiece = ({ about }: Entry): Entry => ({ pieceId: about });
const asNote = ({ about, text }: Entry): Entry => ({ kind: 'note', about, text });

/** What an entry of each kind is now; a kind which is called differently says so. */
const upgrades: Record<string, (entry: Entry) => Entry> = {
  'end made': ofEnd,
  'end failed': ofEnd,
  deviation: ofEnd,
  damaged: ofEnd,
  cut: ofPiece,
  'not cut': ofPiece,
  trimmed: (entry) => (entry.trim ? { ...ofPiece(entry), trim: entry.trim } : asNote(entry)),
  'power step': (entry) => (entry.power ? { power: entry.power } : asNote(entry)),
  routed: () => ({ kind: 'installed' }),
  bonded: () => ({ kind: 'grounded' }),
  sealed: ({ about }) => ({ jointId: about }),
  'handed over': () => ({}),
  note: (entry) => (entry.end ? { kind: 'shrink fitted', ...ofEnd(entry) } : asNote(entry)),
};

/**
 * A log entry of `kobran-job/1` as a fact. Its words stay as they were; the migration of the database does the same in SQL.
 *
 * @param entry kind, about, text, by, at, and what it had in figures; anything else is left for the rules to refuse
 */
export function factOfLogEntry(entry: unknown): unknown {
  if (!isObject(entry) || typeof entry.kind !== 'string' || !(entry.kind in upgrades)) return entry;
  const { id, kind, by, at, text } = entry;
  const now: Entry = { kind, ...upgrades[kind](entry) };
  return { id, by, at, ...now, ...(now.kind === 'note' ? {} : { wording: text }) };
}

/** A reading of `kobran-job/1` as a fact. */
export const factOfReading = (reading: unknown): unknown =>
  isObject(reading) ? { ...reading, kind: 'reading' } : reading;

/** An entry which an older browser kept for sending, as a fact. */
export const upgradedFact = (kind: 'reading' | 'log', body: unknown): unknown =>
  kind === 'reading' ? factOfReading(body) : factOfLogEntry(body);
