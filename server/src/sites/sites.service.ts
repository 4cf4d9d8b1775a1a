import { readSite, type Damaged, type ReplaceSite, type SiteDocument } from '@kobran/contract';
import { emptySite } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, eq, isNull } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs } from '../database/schema.js';
import { damaged, invalid, notFound, stale } from '../errors/problem.js';
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
  constructor(@Inject(DATABASE) private readonly db: Database) {}

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
  async replace(jobId: string, { version, site }: ReplaceSite): Promise<SiteDocument> {
    const read = readSite(site);
    if (!read.ok) throw invalid(read.problems.map((one) => ({ ...one, where: `site.${one.where}` })));
    const changed = await this.db
      .update(jobs)
      .set({ place: read.site, placeVersion: version + 1 })
      .where(and(eq(jobs.id, jobId), eq(jobs.placeVersion, version), isNull(jobs.deletedAt)))
      .returning({ id: jobs.id });
    const current = await this.ofJob(jobId);
    if (changed.length === 0) throw stale('site', version, { version: current.version, data: current.site });
    return current;
  }
}
