import type { AddTrace, StoredTrace } from '@kobran/contract';
import { findAssembly, isObject } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, isNull, ne } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { traces } from '../database/schema.js';
import { idTaken, notFound, ProblemException } from '../errors/problem.js';
import { RunsService } from '../runs/runs.service.js';
import { now } from '../store/moment.js';

type Transaction = Pick<Database, 'insert' | 'update' | 'select'>;

@Injectable()
export class TracesService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RunsService) private readonly runs: RunsService,
  ) {}

  /** The sweeps of a run, oldest first; one that cannot be read is left out. */
  async list(runId: string): Promise<StoredTrace[]> {
    const rows = await this.db
      .select({ data: traces.data, birth: traces.birth })
      .from(traces)
      .where(and(eq(traces.runId, runId), isNull(traces.deletedAt)))
      .orderBy(asc(traces.at));
    return rows.flatMap(({ data, birth }) => (isSound(data) ? [{ ...data, birth }] : []));
  }

  /** Keeps a trace; sent twice it is kept once. */
  async add(runId: string, trace: AddTrace): Promise<void> {
    const { design } = await this.runs.read(runId);
    if (trace.pieceId !== '' && !findAssembly(design, trace.pieceId))
      throw notFound('assembly', trace.pieceId);
    checkTrace(trace);
    const kept = await this.db
      .insert(traces)
      .values({ id: trace.id, runId, at: trace.at, pieceId: trace.pieceId, data: trace })
      .onConflictDoNothing()
      .returning({ id: traces.id });
    if (kept.length > 0) return;
    const [known] = await this.db.select({ runId: traces.runId }).from(traces).where(eq(traces.id, trace.id));
    if (known.runId !== runId) throw idTaken('trace', trace.id);
  }

  /** Puts the sweeps of a file in; of several birth records of one piece the newest stays. */
  async putAll(tx: Transaction, runId: string, all: readonly StoredTrace[]): Promise<void> {
    const births = new Map(
      all
        .filter(({ birth }) => birth)
        .toSorted((x, y) => x.at.localeCompare(y.at))
        .map(({ pieceId, id }) => [pieceId, id]),
    );
    for (const { birth: _, ...data } of all)
      await tx.insert(traces).values({
        id: data.id,
        runId,
        at: data.at,
        pieceId: data.pieceId,
        birth: births.get(data.pieceId) === data.id,
        data,
      });
  }

  /** One birth record for each assembly and one for the run: the one before steps back, in one transaction. */
  async makeBirth(runId: string, id: string): Promise<void> {
    await this.db.transaction(async (tx) => {
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

/** Was it checked when it came in, and is it still whole? Samples are too many to check each time they are read. */
const isSound = (data: unknown): data is Omit<StoredTrace, 'birth'> =>
  isObject(data) &&
  typeof data.id === 'string' &&
  typeof data.name === 'string' &&
  typeof data.pieceId === 'string' &&
  Array.isArray(data.frequencyHz) &&
  isObject(data.s11) &&
  [data.s11.re, data.s11.im].every(
    (samples) => Array.isArray(samples) && samples.length === (data.frequencyHz as unknown[]).length,
  );

/**
 * Every series has as many samples as there are frequencies, and these rise.
 *
 * @param within where the trace stands in what was sent, for the message
 */
export function checkTrace(trace: AddTrace, within = ''): void {
  const count = trace.frequencyHz.length;
  const refuse = (where: string, message: string, remedy: string): never => {
    throw new ProblemException(400, { code: 'trace.malformed', message, where: `${within}${where}`, remedy });
  };
  for (const pair of ['s11', 's21', 's12', 's22'] as const)
    for (const part of ['re', 'im'] as const)
      if (trace[pair] && trace[pair][part].length !== count)
        refuse(
          `${pair}.${part}`,
          `${pair}.${part} has ${trace[pair][part].length} samples for ${count} frequencies.`,
          'Send one sample for each frequency.',
        );
  const falls = trace.frequencyHz.findIndex((hz, k) => k > 0 && hz <= trace.frequencyHz[k - 1]);
  if (falls > 0 || trace.frequencyHz[0] < 0)
    refuse(
      `frequencyHz[${Math.max(0, falls)}]`,
      'The frequencies do not rise from zero.',
      'Sort them, each once.',
    );
}
