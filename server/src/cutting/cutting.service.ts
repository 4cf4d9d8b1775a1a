import type { BookCutting } from '@kobran/contract';
import type { Fact } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { runs, shopEntries } from '../database/schema.js';
import { notFound, problem, type ProblemException } from '../errors/problem.js';
import { appendFacts } from '../facts/log.js';
import { ShopService } from '../shop/shop.service.js';

/** Cable that leaves the shelf for the pieces of a job. */
@Injectable()
export class CuttingService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(ShopService) private readonly shop: ShopService,
  ) {}

  /** Changes shelf and log together; a reel that somebody changed in between is refused. Sent twice it is booked once. */
  async book({
    kind,
    standing,
    put,
    remove,
    pieces,
    by,
    at,
    member,
  }: BookCutting & Pick<Fact, 'member'>): Promise<void> {
    const reels = this.shop.checked(
      put.map((data) => ({ kind: 'reel', data })),
      'put',
    );
    const ids = [...new Set(pieces.map(({ runId }) => runId))];
    await this.db.transaction(async (tx) => {
      const known = await tx
        .select({ id: runs.id })
        .from(runs)
        .where(and(inArray(runs.id, ids), isNull(runs.deletedAt)));
      const unknown = ids.find((id) => known.every((run) => run.id !== id));
      if (unknown !== undefined) throw notFound('run', unknown);
      const factOf = ({ id, pieceId, lengthM, reel }: BookCutting['pieces'][number]): Fact => {
        const cut = {
          ...(lengthM === undefined ? {} : { lengthM }),
          ...(reel === undefined ? {} : { reel }),
        };
        const signed = { id, by, at, ...(member === undefined ? {} : { member }) };
        return kind === 'cut' ? { kind, ...signed, pieceId, ...cut } : { kind, ...signed, pieceId };
      };
      let logged = 0;
      // Always in one order: of two who book together none waits for the other for ever.
      for (const runId of ids.toSorted()) {
        const own = pieces.filter((piece) => piece.runId === runId).map(factOf);
        logged += (await appendFacts(tx, runId, own)).length;
      }
      if (logged === 0) return;
      const rows = await tx.select().from(shopEntries).where(eq(shopEntries.kind, 'reel')).for('update');
      const versions = new Map(rows.map((row) => [row.id, row.version]));
      const changed = standing.find(({ id, version }) => versions.get(id) !== version);
      const added = reels.find(
        ({ data }) => versions.has(data.id) && standing.every(({ id }) => id !== data.id),
      );
      const stale = changed?.id ?? added?.data.id;
      if (stale !== undefined) throw staleReel(stale);
      for (const id of remove)
        await tx.delete(shopEntries).where(and(eq(shopEntries.kind, 'reel'), eq(shopEntries.id, id)));
      for (const { data } of reels) {
        const stood = versions.get(data.id);
        const kept =
          stood === undefined
            ? await tx
                .insert(shopEntries)
                .values({ kind: 'reel', id: data.id, data })
                .onConflictDoNothing()
                .returning({ id: shopEntries.id })
            : await tx
                .update(shopEntries)
                .set({ data, version: stood + 1 })
                .where(and(eq(shopEntries.kind, 'reel'), eq(shopEntries.id, data.id)))
                .returning({ id: shopEntries.id });
        // Somebody else put a new one there meanwhile.
        if (kept.length === 0) throw staleReel(data.id);
      }
    });
    this.shop.changed();
  }
}

const staleReel = (id: string): ProblemException =>
  problem(409, {
    code: 'reel.stale',
    message: `Reel ${id} was changed since the plan was made.`,
    where: 'standing',
    remedy: 'Plan again: the shelf is read anew.',
  });
