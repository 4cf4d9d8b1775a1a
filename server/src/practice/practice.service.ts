import { readPractice, type ReplaceShopPractice, type ShopPracticeDocument } from '@kobran/contract';
import { defaultPractice, type Practice } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, eq } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, shopPractice } from '../database/schema.js';
import { damaged, notFound, stale } from '../errors/problem.js';
import { damageOf } from '../store/stored.js';

/** How the shop works, and how a job does: a new job starts from the shop’s practice and may differ. */
@Injectable()
export class PracticeService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** The shop’s own; the usual one before anybody changed it, or when what is stored cannot be read. */
  async ofShop(): Promise<ShopPracticeDocument> {
    const [row] = await this.db.select().from(shopPractice);
    if (!row) return { version: 0, practice: defaultPractice };
    const read = readPractice(row.practice);
    return { version: row.version, practice: read.ok ? read.practice : defaultPractice };
  }

  /** Replaces it when `version` is the one that stands; else 409 with what stands. */
  async replace({ version, practice }: ReplaceShopPractice): Promise<ShopPracticeDocument> {
    const changed =
      version === 0
        ? await this.db.insert(shopPractice).values({ practice }).onConflictDoNothing().returning()
        : await this.db
            .update(shopPractice)
            .set({ practice, version: version + 1 })
            .where(and(eq(shopPractice.id, 1), eq(shopPractice.version, version)))
            .returning();
    const current = await this.ofShop();
    if (changed.length === 0) throw stale('practice', version, { version: current.version, data: current });
    return current;
  }

  /** How a job works, with its name; the job may be deleted. */
  async ofJob(id: string): Promise<{ practice: Practice; jobName: string }> {
    const [row] = await this.db
      .select({ practice: jobs.practice, jobName: jobs.name })
      .from(jobs)
      .where(eq(jobs.id, id));
    if (!row) throw notFound('job', id);
    const read = readPractice(row.practice);
    if (!read.ok) throw damaged('job', id, damageOf('The practice of a job', id, read.problems).message);
    return { practice: read.practice, jobName: row.jobName };
  }
}
