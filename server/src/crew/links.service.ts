import type { CustomerLink, MakeLink } from '@kobran/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, gt, isNull } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { customerLinks, jobs } from '../database/schema.js';
import { notFound } from '../errors/problem.js';
import { iso } from '../store/moment.js';
import { nameOf, type Caller } from './caller.js';
import { codeHash, newCode } from './codes.js';
import { CrewLogService } from './crewLog.service.js';
import { noSuchCode } from './members.service.js';
import { SessionsService } from './sessions.service.js';
import { TriesService } from './tries.service.js';

const DAY_MS = 24 * 3600 * 1000;

/** Links by which a customer looks at one site. */
@Injectable()
export class LinksService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(CrewLogService) private readonly log: CrewLogService,
    @Inject(SessionsService) private readonly sessions: SessionsService,
    @Inject(TriesService) private readonly tries: TriesService,
  ) {}

  async make(
    { jobId, whom, days }: MakeLink,
    by: Caller,
  ): Promise<{ id: string; code: string; until: string }> {
    const [job] = await this.db
      .select({ name: jobs.name })
      .from(jobs)
      .where(and(eq(jobs.id, jobId), isNull(jobs.deletedAt)));
    if (!job) throw notFound('job', jobId);
    const code = newCode();
    const id = randomUUID();
    const until = new Date(Date.now() + days * DAY_MS).toISOString();
    await this.db
      .insert(customerLinks)
      .values({ id, codeHash: codeHash(code), jobId, whom, by: nameOf(by), expiresAt: until });
    await this.log.add('link made', nameOf(by), `${whom} to look at ${job.name}`);
    return { id, code, until };
  }

  async list(): Promise<CustomerLink[]> {
    const rows = await this.db
      .select()
      .from(customerLinks)
      .where(isOpen())
      .orderBy(asc(customerLinks.expiresAt));
    return rows.map(({ id, jobId, whom, by, expiresAt }) => ({ id, jobId, whom, by, until: iso(expiresAt) }));
  }

  async remove(id: string, by: Caller): Promise<void> {
    const [row] = await this.db
      .update(customerLinks)
      .set({ endedAt: new Date().toISOString() })
      .where(and(eq(customerLinks.id, id), isOpen()))
      .returning();
    if (!row) return;
    await this.sessions.endOfLink(id);
    await this.log.add('link withdrawn', nameOf(by), row.whom);
  }

  /** Whose link has this code. @throws when there is none */
  async opened(code: string, place: string, device: string): Promise<string> {
    const attempt = { name: '', place };
    await this.tries.count(attempt);
    const [row] = await this.db
      .select()
      .from(customerLinks)
      .where(and(eq(customerLinks.codeHash, codeHash(code)), isOpen()));
    if (!row) throw noSuchCode();
    await this.tries.succeeded(attempt);
    await this.log.add('link opened', row.whom, device);
    return row.id;
  }
}

const isOpen = (): ReturnType<typeof and> =>
  and(isNull(customerLinks.endedAt), gt(customerLinks.expiresAt, new Date().toISOString()));
