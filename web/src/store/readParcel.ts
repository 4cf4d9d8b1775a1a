import { AddTrace, Picture, readAs, readFact, readPractice } from '@kobran/contract';
import { isObject } from '@kobran/core';
import type { ReadParcel } from './outbox.js';
import type { PracticeChange } from './practiceChanges.js';

/** Checks an entry of the outbox by the rules of the contract; a script of its own, fetched when something waits. */
export function readParcel(value: unknown): ReadParcel {
  if (!isObject(value) || typeof value.runId !== 'string') return { ok: false, why: 'It names no run.' };
  const { runId, kind, body } = value;
  if (kind === 'fact') {
    const read = readFact(body);
    return read.ok
      ? { ok: true, parcel: { runId, kind, body: read.fact } }
      : { ok: false, why: read.problems[0].message };
  }
  if (kind === 'trace') {
    const read = readAs(AddTrace, isObject(body) ? body : {});
    return read.ok
      ? { ok: true, parcel: { runId, kind, body: read.value } }
      : { ok: false, why: read.problems[0].message };
  }
  if (kind === 'picture') {
    const { id, at, jobId, ...picture } = isObject(body) ? body : {};
    const read = readAs(Picture, picture);
    if (!read.ok) return { ok: false, why: read.problems[0].message };
    if (typeof id !== 'string' || typeof at !== 'string' || typeof jobId !== 'string')
      return { ok: false, why: 'It does not say of which job it is.' };
    return { ok: true, parcel: { runId, kind, body: { ...read.value, id, at, jobId } } };
  }
  return { ok: false, why: `“${String(kind)}” is no fact, no sweep and no picture.` };
}

/** Checks a change of a practice by the same rules; nothing when it is none. */
export const readPracticeChange = (value: object): PracticeChange | undefined =>
  readPractice(value).ok ? value : undefined;
