import type { Fact, FactKindId } from '@kobran/core';
import { iso } from './moment.js';

/** As much of a row as a fact is made of. */
export interface FactRow {
  id: string;
  kind: FactKindId;
  by: string;
  at: string;
  /** Everything else of the fact, as its kind has it. */
  body: unknown;
}

/** A fact as a row of its run. */
export const rowOf = (runId: string, { id, kind, by, at, ...body }: Fact): FactRow & { runId: string } => ({
  id,
  runId,
  kind,
  by,
  at: iso(at),
  body,
});

/** The entry which a row is, whatever is in it: a damaged one has its place in the chain too. */
export const entryOf = ({ id, kind, by, at, body }: FactRow): Fact =>
  ({ ...(body as object), id, kind, by, at: iso(at) }) as Fact;
