import { MAX_PICTURES, type Picture, type PictureInFile, type PictureType } from '@kobran/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, eq, inArray, isNull, ne } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { asBase64, bytesOf, jobs, pictures } from '../database/schema.js';
import { invalid, notFound, problem } from '../errors/problem.js';
import { pictureFault } from './pictureFault.js';

/** Pictures of jobs. One is never changed: another one has another id. */
@Injectable()
export class PicturesService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Keeps a picture; the same id again changes nothing. @throws when it is none, or there is no such job */
  async put(jobId: string, id: string, picture: Picture): Promise<void> {
    const fault = pictureFault(picture, '');
    if (fault) throw invalid([fault]);
    const [job] = await this.db
      .select({ id: jobs.id })
      .from(jobs)
      .where(and(eq(jobs.id, jobId), isNull(jobs.deletedAt)));
    if (!job) throw notFound('job', jobId);
    const has = await this.db.$count(pictures, and(eq(pictures.jobId, jobId), ne(pictures.id, id)));
    if (has >= MAX_PICTURES) throw tooMany();
    await this.putAll(jobId, [{ ...picture, id }]);
  }

  /** Keeps pictures which were looked at before. */
  async putAll(jobId: string, all: readonly PictureInFile[]): Promise<void> {
    for (const { id, type, base64 } of all)
      await this.db
        .insert(pictures)
        .values({ jobId, id, type, bytes: bytesOf(base64) })
        .onConflictDoNothing();
  }

  /** @throws when there is none */
  async read(jobId: string, id: string): Promise<{ type: PictureType; bytes: Uint8Array }> {
    const [found] = await this.named(jobId, [id]);
    if (!found) throw notFound('picture', id);
    return { type: found.type, bytes: bytesOf(found.base64) };
  }

  /** Those of these which the job has. */
  async named(jobId: string, ids: readonly string[]): Promise<PictureInFile[]> {
    if (ids.length === 0) return [];
    const rows = await this.db
      .select({ id: pictures.id, type: pictures.type, base64: asBase64(pictures.bytes) })
      .from(pictures)
      .where(and(eq(pictures.jobId, jobId), inArray(pictures.id, [...ids])));
    return rows.map(({ id, type, base64 }) => ({ id, type, base64: (base64 ?? '').replaceAll('\n', '') }));
  }
}

const tooMany = () =>
  problem(409, {
    code: 'job.pictures-full',
    message: `This job has ${MAX_PICTURES} pictures, and takes no more.`,
    where: 'path',
    remedy: 'Put further work into a job of its own, and its photos with it.',
  });
