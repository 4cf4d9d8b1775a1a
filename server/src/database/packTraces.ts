import { eq, isNull } from 'drizzle-orm';
import { apart, packed, type Samples } from '../store/samples.js';
import type { Database } from './drivers.js';
import { traces } from './schema.js';

/** Sweeps which an older version kept as one document get their samples apart, one after another: cut off, it goes on at the next start. */
export async function packTraces(db: Database): Promise<void> {
  const old = await db.select({ id: traces.id }).from(traces).where(isNull(traces.samples));
  for (const { id } of old) {
    const [{ data }] = await db.select({ data: traces.data }).from(traces).where(eq(traces.id, id));
    const { about, samples } = apart(data as Samples);
    // One that was damaged before is left as it is, and listed as it was.
    if (!Array.isArray(samples.frequencyHz) || !samples.s11) continue;
    await db
      .update(traces)
      .set({ data: about, samples: await packed(samples) })
      .where(eq(traces.id, id));
  }
}
