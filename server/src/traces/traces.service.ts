import type { AddTrace, ListedTrace, StoredTrace } from '@kobran/contract';
import { findAssembly, isObject } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, isNull, ne } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { asBase64, bytesOf, runs, traces } from '../database/schema.js';
import { damaged, idTaken, invalid, notFound } from '../errors/problem.js';
import { RunsService } from '../runs/runs.service.js';
import { now } from '../store/moment.js';
import { unpacked } from '../store/samples.js';
import { traceProblem } from '../store/traceProblem.js';
import { traceRow } from './traceRow.js';

@Injectable()
export class TracesService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RunsService) private readonly runs: RunsService,
  ) {}

  /** The sweeps of a run without their samples, oldest first; one that cannot be read is left out. */
  async list(runId: string): Promise<ListedTrace[]> {
    const rows = await this.db
      .select({ data: traces.data, birth: traces.birth })
      .from(traces)
      .where(and(eq(traces.runId, runId), isNull(traces.deletedAt)))
      .orderBy(asc(traces.at), asc(traces.came));
    return rows.flatMap(({ data, birth }) => (isSound(data) ? [{ ...data, birth }] : []));
  }

  /** A sweep with its samples. */
  async read(runId: string, id: string): Promise<StoredTrace> {
    const { about, samples } = await this.packed(runId, id);
    return { ...about, ...(await unpacked(samples)) };
  }

  /** A sweep, its samples as they are kept. */
  async packed(runId: string, id: string): Promise<{ about: ListedTrace; samples: Uint8Array }> {
    const [row] = await this.db
      .select({ data: traces.data, birth: traces.birth, samples: asBase64(traces.samples) })
      .from(traces)
      .where(and(this.is(runId, id), isNull(traces.deletedAt)));
    if (!row) throw notFound('trace', id);
    const { data, birth, samples } = row;
    if (!isSound(data) || samples === null)
      throw damaged('trace', id, 'A sweep in the database cannot be read.');
    return { about: { ...data, birth }, samples: bytesOf(samples) };
  }

  /** Keeps a trace; sent twice it is kept once. */
  async add(runId: string, trace: AddTrace): Promise<void> {
    const { design } = await this.runs.read(runId);
    if (trace.pieceId !== '' && !findAssembly(design, trace.pieceId))
      throw notFound('assembly', trace.pieceId);
    const wrong = traceProblem(trace);
    if (wrong) throw invalid([wrong]);
    const kept = await this.db
      .insert(traces)
      .values(await traceRow(runId, { ...trace, birth: false }))
      .onConflictDoNothing()
      .returning({ id: traces.id });
    if (kept.length > 0) return;
    const [known] = await this.db.select({ runId: traces.runId }).from(traces).where(eq(traces.id, trace.id));
    if (known.runId !== runId) throw idTaken('trace', trace.id);
  }

  /** One birth record for each assembly and one for the run: the one before steps back, in one transaction. */
  async makeBirth(runId: string, id: string): Promise<void> {
    await this.db.transaction(async (tx) => {
      await alone(tx, runId);
      const [chosen] = await tx
        .select({ pieceId: traces.pieceId })
        .from(traces)
        .where(and(this.is(runId, id), isNull(traces.deletedAt)));
      if (!chosen) throw notFound('trace', id);
      await tx
        .update(traces)
        .set({ birth: false })
        .where(and(this.births(runId, chosen.pieceId), ne(traces.id, id)));
      await tx.update(traces).set({ birth: true }).where(this.is(runId, id));
    });
  }

  async remove(runId: string, id: string): Promise<void> {
    const changed = await this.db
      .update(traces)
      .set({ deletedAt: now() })
      .where(this.is(runId, id))
      .returning({ id: traces.id });
    if (changed.length === 0) throw notFound('trace', id);
  }

  /** Restores a sweep; as a birth record only when none was made meanwhile. */
  async restore(runId: string, id: string): Promise<void> {
    await this.db.transaction(async (tx) => {
      await alone(tx, runId);
      const [gone] = await tx
        .select({ pieceId: traces.pieceId, birth: traces.birth })
        .from(traces)
        .where(this.is(runId, id));
      if (!gone) throw notFound('trace', id);
      const others = await tx
        .select({ id: traces.id })
        .from(traces)
        .where(and(this.births(runId, gone.pieceId), ne(traces.id, id)));
      await tx
        .update(traces)
        .set({ deletedAt: null, birth: gone.birth && others.length === 0 })
        .where(this.is(runId, id));
    });
  }

  private births(runId: string, pieceId: string): ReturnType<typeof and> {
    return and(
      eq(traces.runId, runId),
      eq(traces.pieceId, pieceId),
      eq(traces.birth, true),
      isNull(traces.deletedAt),
    );
  }

  private is(runId: string, id: string): ReturnType<typeof and> {
    return and(eq(traces.id, id), eq(traces.runId, runId));
  }
}

/** Who changes the birth records of a run waits for whoever does so already. */
const alone = (tx: Pick<Database, 'select'>, runId: string): Promise<unknown> =>
  tx.select({ id: runs.id }).from(runs).where(eq(runs.id, runId)).for('update');

/** Was it checked when it came in, and is it still whole? */
const isSound = (data: unknown): data is Omit<ListedTrace, 'birth'> =>
  isObject(data) &&
  [data.id, data.name, data.pieceId, data.at, data.far].every((text) => typeof text === 'string');
