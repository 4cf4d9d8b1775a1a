import type { AddTrace, StoredTrace } from '@kobran/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { traces } from '../database/schema.js';
import { notFound, ProblemException } from '../errors/problem.js';
import { RunsService } from '../runs/runs.service.js';

@Injectable()
export class TracesService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RunsService) private readonly runs: RunsService,
  ) {}

  async list(runId: string): Promise<StoredTrace[]> {
    const rows = await this.db
      .select({ data: traces.data })
      .from(traces)
      .where(and(eq(traces.runId, runId), isNull(traces.deletedAt)))
      .orderBy(asc(traces.at));
    return rows.map(({ data }) => data);
  }

  /** Keeps a trace; sent twice it is kept once. */
  async add(runId: string, trace: AddTrace): Promise<void> {
    const { design } = await this.runs.read(runId);
    const isAssembly = design.pieces.some(({ id, kind }) => id === trace.pieceId && kind === 'assembly');
    if (trace.pieceId !== '' && !isAssembly) throw notFound('assembly', trace.pieceId);
    checkTrace(trace);
    await this.db
      .insert(traces)
      .values({ id: trace.id, runId, at: trace.at, data: trace })
      .onConflictDoNothing();
  }

  /** One birth record for each assembly and one for the run: the one before steps back. */
  async makeBirth(runId: string, id: string): Promise<void> {
    const all = await this.list(runId);
    const chosen = all.find((trace) => trace.id === id);
    if (!chosen) throw notFound('trace', id);
    await this.db.transaction(async (tx) => {
      for (const trace of all.filter(({ pieceId }) => pieceId === chosen.pieceId))
        await tx
          .update(traces)
          .set({ data: { ...trace, birth: trace.id === id } })
          .where(and(eq(traces.id, trace.id), eq(traces.runId, runId)));
    });
  }

  async setDeleted(runId: string, id: string, deletedAt: string | null): Promise<void> {
    const changed = await this.db
      .update(traces)
      .set({ deletedAt })
      .where(and(eq(traces.id, id), eq(traces.runId, runId)))
      .returning({ id: traces.id });
    if (changed.length === 0) throw notFound('trace', id);
  }
}

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
