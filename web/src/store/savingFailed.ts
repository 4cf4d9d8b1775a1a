import type { ApiProblem } from '@kobran/contract';
import { Refused, Unreachable } from './client.js';
import type { Saving, Versioned } from './documentEditor.js';

/**
 * What became of a write that did not go through.
 *
 * @param theirs the document in an answer which says that it was changed elsewhere; nothing when it is not there
 * @throws what is no answer of the server
 */
export function savingFailed<D>(
  error: unknown,
  theirs: (current: NonNullable<ApiProblem['current']>) => Versioned<D> | undefined,
): Saving<D> {
  if (error instanceof Unreachable) return { kind: 'away' };
  if (!(error instanceof Refused)) throw error;
  const { current } = error.problem;
  const other = error.status === 409 && current ? theirs(current) : undefined;
  if (other) return { kind: 'conflict', theirs: other };
  return error.status >= 500
    ? { kind: 'away', why: error.problem.message }
    : { kind: 'refused', problem: error.problem };
}
