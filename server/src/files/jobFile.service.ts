import { JOB_FILE_SCHEMA, type JobDocument, type JobFile } from '@kobran/contract';
import { withShop, type Design } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, logEntries, readings, runs, traces } from '../database/schema.js';
import { readCheckedDesign } from '../errors/readCheckedDesign.js';
import { JobsService } from '../jobs/jobs.service.js';
import { names, ShopService } from '../shop/shop.service.js';
import { checkTrace, TracesService } from '../traces/traces.service.js';

/** A whole job as one open JSON file, out and in. */
@Injectable()
export class JobFileService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(JobsService) private readonly jobsService: JobsService,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(TracesService) private readonly tracesService: TracesService,
  ) {}

  async write(jobId: string): Promise<JobFile> {
    const { name, site, practice, runs: documents } = await this.jobsService.read(jobId);
    return {
      schema: JOB_FILE_SCHEMA,
      exportedAt: new Date().toISOString(),
      name,
      site,
      practice,
      ...(await this.ownEntries(documents.map(({ design }) => design))),
      runs: await Promise.all(
        documents.map(async ({ id, design, readings: r, log }) => {
          const swept = await this.tracesService.list(id);
          return { design, readings: r, log, ...(swept.length > 0 ? { traces: swept } : {}) };
        }),
      ),
    };
  }

  /** Adds the job of a file as a new one, all or nothing; every row gets an id of its own. */
  async read(file: JobFile): Promise<JobDocument> {
    const brought = this.shop.checked(file.catalog ?? [], 'catalog');
    const known = withShop(await this.shop.catalog(), brought);
    const designs = file.runs.map(({ design }, k) => readCheckedDesign(design, `runs[${k}].design`, known));
    file.runs.forEach((run, k) =>
      (run.traces ?? []).forEach((trace, n) => checkTrace(trace, `runs[${k}].traces[${n}].`)),
    );
    const jobId = randomUUID();
    await this.shop.addMissing(brought);
    await this.db.transaction(async (tx) => {
      await tx.insert(jobs).values({ id: jobId, name: file.name, site: file.site, practice: file.practice });
      for (const [k, run] of file.runs.entries()) {
        const runId = randomUUID();
        await tx.insert(runs).values({
          id: runId,
          jobId,
          design: designs[k],
          createdAt: new Date(Date.now() + k).toISOString(),
        });
        if (run.readings.length > 0)
          await tx.insert(readings).values(run.readings.map((row) => ({ ...row, id: randomUUID(), runId })));
        if (run.log.length > 0)
          await tx.insert(logEntries).values(run.log.map((row) => ({ ...row, id: randomUUID(), runId })));
        for (const trace of run.traces ?? []) {
          const data = { ...trace, id: randomUUID() };
          await tx.insert(traces).values({ id: data.id, runId, at: data.at, data });
        }
      }
    });
    return this.jobsService.read(jobId);
  }

  /** The shop’s own entries which these designs name; left out when there are none. */
  private async ownEntries(designs: Design[]): Promise<Pick<JobFile, 'catalog'>> {
    const own = (await this.shop.read()).entries.filter(({ kind, data }) =>
      designs.some((design) => names(design, kind, data.id)),
    );
    return own.length > 0 ? { catalog: own.map(({ kind, data }) => ({ kind, data })) } : {};
  }
}
