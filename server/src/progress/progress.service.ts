import type { KeepProgress, ProgressDocument } from '@kobran/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, lt } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { progress } from '../database/schema.js';
import { RunsService } from '../runs/runs.service.js';
import { iso } from '../store/moment.js';

/** How far cards and batches are, so that a second phone goes on where the first stopped. */
@Injectable()
export class ProgressService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RunsService) private readonly runs: RunsService,
  ) {}

  async list(runId: string): Promise<ProgressDocument[]> {
    await this.runs.mustStand(runId);
    const rows = await this.db
      .select()
      .from(progress)
      .where(eq(progress.runId, runId))
      .orderBy(asc(progress.key));
    return rows.map(asDocument);
  }

  /** Keeps it when it is newer than what stands; answers what stands then. */
  async keep(runId: string, key: string, { at, body }: KeepProgress): Promise<ProgressDocument> {
    await this.runs.mustStand(runId);
    const own = { at, body: body ?? null };
    await this.db
      .insert(progress)
      .values({ runId, key, ...own })
      .onConflictDoUpdate({
        target: [progress.runId, progress.key],
        set: own,
        setWhere: lt(progress.at, at),
      });
    const [row] = await this.db
      .select()
      .from(progress)
      .where(and(eq(progress.runId, runId), eq(progress.key, key)));
    return asDocument(row);
  }
}

function asDocument({ key, at, body }: typeof progress.$inferSelect): ProgressDocument {
  // What it means is the card’s and the batch’s own; they read it with their own checks.
  return { key, at: iso(at), ...(typeof body === 'object' && body !== null ? { body } : {}) };
}
