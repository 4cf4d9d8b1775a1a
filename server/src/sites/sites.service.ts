import {
  readSite,
  type Damaged,
  type PutOnSite,
  type ReplaceSite,
  type RunOnSite,
  type SiteDocument,
} from '@kobran/contract';
import { emptySite, type Design } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, eq, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, runs } from '../database/schema.js';
import { damaged, invalid, notFound, problem, stale } from '../errors/problem.js';
import { readCheckedDesign } from '../errors/readCheckedDesign.js';
import { ShopService } from '../shop/shop.service.js';
import { damageOf } from '../store/stored.js';

/** What of a job’s row is its place. */
export type PlaceRow = Pick<typeof jobs.$inferSelect, 'id' | 'place' | 'placeVersion'>;

/** The place of a row; one that cannot be read is said to be damaged. */
export function placeOf({ id, place, placeVersion }: PlaceRow): {
  place: SiteDocument;
  damaged?: Damaged;
} {
  if (place === null) return { place: { version: placeVersion, site: emptySite } };
  const read = readSite(place);
  return read.ok
    ? { place: { version: placeVersion, site: read.site } }
    : {
        place: { version: placeVersion, site: emptySite },
        damaged: damageOf('The site of a job', id, read.problems),
      };
}

/** The places of jobs: the points and ways which their runs share. */
@Injectable()
export class SitesService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(ShopService) private readonly shop: ShopService,
  ) {}

  /** @throws when there is no such job, or its place cannot be read */
  async ofJob(jobId: string): Promise<SiteDocument> {
    const [row] = await this.db
      .select({ id: jobs.id, place: jobs.place, placeVersion: jobs.placeVersion })
      .from(jobs)
      .where(and(eq(jobs.id, jobId), isNull(jobs.deletedAt)));
    if (!row) throw notFound('job', jobId);
    const { place, damaged: broken } = placeOf(row);
    if (broken) throw damaged('job', jobId, broken.message);
    return place;
  }

  /** Replaces it when `version` is the one that stands; else 409 with what stands. */
  replace(jobId: string, { version, site }: ReplaceSite): Promise<SiteDocument> {
    return this.putOnSite(jobId, { version, site, runs: [] });
  }

  /** Replaces it together with runs which lie in it, when all of them are what stands: all or nothing. */
  async putOnSite(jobId: string, { version, site, runs: along }: PutOnSite): Promise<SiteDocument> {
    const read = readSite(site);
    if (!read.ok) throw invalid(read.problems.map((one) => ({ ...one, where: `site.${one.where}` })));
    const known = await this.shop.catalog();
    const designs = along.map((run, k) => readCheckedDesign(run.design, `runs[${k}].design`, known));
    const behind = await this.written(jobId, { version, site: read.site }, along, designs);
    const current = await this.ofJob(jobId);
    if (behind === 'site') throw stale('site', version, { version: current.version, data: current.site });
    if (behind !== undefined) throw runMoved(along.indexOf(behind));
    return current;
  }

  /** @returns what was not current, so that nothing was written */
  private async written(
    jobId: string,
    { version, site }: SiteDocument,
    along: readonly RunOnSite[],
    designs: readonly Design[],
  ): Promise<'site' | RunOnSite | undefined> {
    let behind: 'site' | RunOnSite | undefined;
    const undo = new Error('not current');
    try {
      await this.db.transaction(async (tx) => {
        const changed = await tx
          .update(jobs)
          .set({ place: site, placeVersion: version + 1 })
          .where(and(eq(jobs.id, jobId), eq(jobs.placeVersion, version), isNull(jobs.deletedAt)))
          .returning({ id: jobs.id });
        if (changed.length === 0) behind = 'site';
        for (const [k, run] of along.entries()) {
          if (behind !== undefined) break;
          const moved = await tx
            .update(runs)
            .set({ design: designs[k], version: run.version + 1 })
            .where(
              and(
                eq(runs.id, run.id),
                eq(runs.jobId, jobId),
                eq(runs.version, run.version),
                isNull(runs.deletedAt),
              ),
            )
            .returning({ id: runs.id });
          if (moved.length === 0) behind = run;
        }
        if (behind !== undefined) throw undo;
      });
    } catch (error) {
      if (error !== undo) throw error;
    }
    return behind;
  }
}

const runMoved = (k: number) =>
  problem(409, {
    code: 'site.run-moved',
    message: 'A run was changed elsewhere meanwhile: nothing was written.',
    where: `runs[${k}].version`,
    remedy: 'Look at it, and do it again.',
  });
