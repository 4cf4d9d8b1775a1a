import { isObject } from '@kobran/core';

/** Kinds which are called differently now. */
const renamed: Record<string, string> = { routed: 'installed', bonded: 'grounded' };
const endKinds = ['end made', 'end failed', 'deviation', 'damaged'];

/**
 * A log entry of `kobran-job/1` as a fact. Its words stay as they were; the migration of the database does the same in SQL.
 *
 * @param entry kind, about, text, by, at, and what it had in figures; anything else is left for the rules to refuse
 */
export function factOfLogEntry(entry: unknown): unknown {
  if (!isObject(entry)) return entry;
  const { kind, about, text, end, trim, power, ...signature } = entry;
  const name = String(kind);
  const wording = { wording: text };
  if (endKinds.includes(name)) return { ...signature, ...wording, kind, endId: about, ...(end ? { end } : {}) };
  if (name === 'note' && end) return { ...signature, ...wording, kind: 'shrink fitted', endId: about, end };
  if (name === 'cut' || name === 'not cut') return { ...signature, ...wording, kind, pieceId: about };
  if (name === 'trimmed' && trim) return { ...signature, ...wording, kind, pieceId: about, trim };
  if (name === 'power step' && power) return { ...signature, ...wording, kind, power };
  if (name === 'sealed') return { ...signature, ...wording, kind, jointId: about };
  if (name === 'handed over' || name in renamed) return { ...signature, ...wording, kind: renamed[name] ?? kind };
  if (name === 'note' || name === 'trimmed' || name === 'power step')
    return { ...signature, kind: 'note', about, text };
  return entry;
}

/** A reading of `kobran-job/1` as a fact. */
export const factOfReading = (reading: unknown): unknown =>
  isObject(reading) ? { ...reading, kind: 'reading' } : reading;
