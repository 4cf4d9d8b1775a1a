import { JOB_FILE_SCHEMA, type JobDocument, type JobFile } from '@kobran/contract';
import { withShop, type Design, type Fact } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { facts, jobs, runs } from '../database/schema.js';
import { readCheckedDesign } from '../errors/readCheckedDesign.js';
import { FactsService } from '../facts/facts.service.js';
import { JobsService } from './jobs.service.js';
import { concerns, ShopService } from '../shop/shop.service.js';
import { checkTrace, TracesService } from '../traces/traces.service.js';

/** A whole job as one open JSON file, out and in. */
@Injectable()
export class JobFileService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(JobsService) private readonly jobsService: JobsService,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(TracesService) private readonly traces: TracesService,
    @Inject(FactsService) private readonly facts: FactsService,
  ) {}

  async export(jobId: string): Promise<JobFile> {
    const { name, site, practice, runs: documents } = await this.jobsService.read(jobId);
    return {
      schema: JOB_FILE_SCHEMA,
      exportedAt: new Date().toISOString(),
      name,
      site,
      practice,
      ...(await this.ownEntries(documents.map(({ design }) => design))),
      runs: await Promise.all(
        documents.map(async ({ id, design, facts: known }) => {
          const swept = await this.traces.list(id);
          return { design, facts: [...known], ...(swept.length > 0 ? { traces: swept } : {}) };
        }),
      ),
    };
  }

  /** Adds the job of a file as a new one, all or nothing; every row gets an id of its own. */
  async import(file: JobFile): Promise<JobDocument> {
    const brought = this.shop.checked(file.catalog ?? [], 'catalog');
    const known = withShop(await this.shop.catalog(), brought);
    const designs = file.runs.map(({ design }, k) => readCheckedDesign(design, `runs[${k}].design`, known));
    file.runs.forEach((run, k) =>
      (run.traces ?? []).forEach((trace, n) => checkTrace(trace, `runs[${k}].traces[${n}].`)),
    );
    const done = file.runs.map((run, k) =>
      run.facts.map((fact, n): Fact => this.facts.checked(fact, `runs[${k}].facts[${n}]`)),
    );
    const jobId = randomUUID();
    await this.db.transaction(async (tx) => {
      await this.shop.addMissing(brought, tx);
      await tx.insert(jobs).values({ id: jobId, name: file.name, site: file.site, practice: file.practice });
      for (const [k, run] of file.runs.entries()) {
        const runId = randomUUID();
        await tx.insert(runs).values({
          id: runId,
          jobId,
          design: designs[k],
          createdAt: new Date(Date.now() + k).toISOString(),
        });
        const rows = done[k].map((fact) => this.facts.rowOf(runId, { ...fact, id: randomUUID() }));
        if (rows.length > 0) await tx.insert(facts).values(rows);
        await this.traces.putAll(
          tx,
          runId,
          (run.traces ?? []).map(({ birth = false, ...trace }) => ({ ...trace, birth, id: randomUUID() })),
        );
      }
    });
    return this.jobsService.read(jobId);
  }

  /** The shop’s own entries which decide what is said of these designs; left out when there are none. */
  private async ownEntries(designs: Design[]): Promise<Pick<JobFile, 'catalog'>> {
    const own = (await this.shop.read()).entries.filter((entry) =>
      designs.some((design) => concerns(design, entry)),
    );
    return own.length > 0 ? { catalog: own.map(({ kind, data }) => ({ kind, data })) } : {};
  }
}
