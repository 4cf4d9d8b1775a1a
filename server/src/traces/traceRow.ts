import type { StoredTrace } from '@kobran/contract';
import type { traces } from '../database/schema.js';
import { apart, packed } from '../store/samples.js';

/** A sweep as a row of its run. */
export async function traceRow(
  runId: string,
  { birth, ...trace }: StoredTrace,
): Promise<typeof traces.$inferInsert> {
  const { about, samples } = apart(trace);
  const { id, at, pieceId } = about;
  return { id, runId, at, pieceId, birth, data: about, samples: await packed(samples) };
}
