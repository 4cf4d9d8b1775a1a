import type { BookCutting } from '@kobran/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { logEntries, runs, shopEntries } from '../database/schema.js';
import { notFound, said } from '../errors/problem.js';
import { ShopService } from '../shop/shop.service.js';

/** Cable that leaves the shelf for the pieces of a job. */
@Injectable()
export class CuttingService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(ShopService) private readonly shop: ShopService,
  ) {}

  /** Changes shelf and log together; a reel that somebody changed in between is refused. Sent twice it is booked once. */
  async book({ kind, standing, put, remove, pieces, by, at }: BookCutting): Promise<void> {
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
      const logged = await tx
        .insert(logEntries)
        .values(
          pieces.map(({ id, runId, pieceId, text }) => ({ id, runId, kind, about: pieceId, text, by, at })),
        )
        .onConflictDoNothing()
        .returning({ id: logEntries.id });
      if (logged.length === 0) return;
      const rows = await tx.select().from(shopEntries).where(eq(shopEntries.kind, 'reel'));
      const versions = new Map(rows.map((row) => [row.id, row.version]));
      const changed = standing.find(({ id, version }) => versions.get(id) !== version);
      const added = reels.find(
        ({ data }) => versions.has(data.id) && standing.every(({ id }) => id !== data.id),
      );
      const stale = changed?.id ?? added?.data.id;
      if (stale !== undefined)
        throw said(
          409,
          'reel.stale',
          `Reel ${stale} was changed since the plan was made.`,
          'standing',
          'Plan again: the shelf is read anew.',
        );
      for (const id of remove)
        await tx.delete(shopEntries).where(and(eq(shopEntries.kind, 'reel'), eq(shopEntries.id, id)));
      for (const { data } of reels) {
        const version = (versions.get(data.id) ?? 0) + 1;
        await tx
          .insert(shopEntries)
          .values({ kind: 'reel', id: data.id, data, version })
          .onConflictDoUpdate({ target: [shopEntries.kind, shopEntries.id], set: { data, version } });
      }
    });
    this.shop.changed();
  }
}
