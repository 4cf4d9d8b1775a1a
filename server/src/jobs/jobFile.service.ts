import { JOB_FILE_SCHEMA, type JobDocument, type JobFile } from '@kobran/contract';
import { photosOf, renameRuns, runInFile, type Design, type Facts, type Site } from '@kobran/core';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { jobs, runs, traces } from '../database/schema.js';
import { invalid, problem } from '../errors/problem.js';
import { FactsService } from '../facts/facts.service.js';
import { putLog, putRevisions } from '../facts/log.js';
import { concerns, ShopService } from '../shop/shop.service.js';
import { now } from '../store/moment.js';
import { PicturesService } from '../pictures/pictures.service.js';
import { TracesService } from '../traces/traces.service.js';
import { background } from '../work/background.js';
import { forgetArriving } from '../database/arriving.js';
import { JobsService } from './jobs.service.js';
import { readInBackground, type ReadFile } from './readInBackground.js';

/** A whole job as one open JSON file, out and in. */
@Injectable()
export class JobFileService implements OnModuleDestroy {
  private readonly threads = background('jobs/jobFile.worker.js');
  private readonly writers = background('jobs/sweepText.worker.js');

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(JobsService) private readonly jobsService: JobsService,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(TracesService) private readonly traces: TracesService,
    @Inject(PicturesService) private readonly pictures: PicturesService,
    @Inject(FactsService) private readonly facts: FactsService,
  ) {}

  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.threads.destroy(), this.writers.destroy()]);
  }

  /** The file in pieces, one sweep after another, so that it never lies in memory as a whole. */
  async export(jobId: string): Promise<{ name: string; text: AsyncIterable<string> }> {
    const { name, site, practice, place, runs: documents } = await this.jobsService.read(jobId);
    const head: Omit<JobFile, 'runs'> = {
      schema: JOB_FILE_SCHEMA,
      exportedAt: now(),
      name,
      site,
      practice,
      ...(place
        ? { place: renameRuns(place.site, new Map(documents.map(({ id }, k) => [id, runInFile(k)]))) }
        : {}),
      ...(await this.ownEntries(documents.map(({ design }) => design))),
    };
    const { traces: kept, facts: logs, writers, pictures } = this;
    const shown = picturesNamed(place?.site, documents);
    async function* text(): AsyncIterable<string> {
      yield JSON.stringify(head).slice(0, -1);
      let begun = false;
      for (const id of shown)
        for (const picture of await pictures.named(jobId, [id])) {
          yield `${begun ? ',' : ',"pictures":['}${JSON.stringify(picture)}`;
          begun = true;
        }
      yield `${begun ? ']' : ''},"runs":[`;
      for (const [k, { id, design }] of documents.entries()) {
        // Entries in the order in which they came here: so they are chained.
        const { facts, ...log } = await logs.readableLog(id);
        const signed = (await logs.revisions(id)).map(({ design: one }) => one);
        yield `${k > 0 ? ',' : ''}${JSON.stringify({ design, facts, log, ...(signed.length > 0 ? { revisions: signed } : {}) }).slice(0, -1)}`;
        const sweeps = await kept.list(id);
        for (const [n, sweep] of sweeps.entries())
          yield `${n > 0 ? ',' : ',"traces":['}${(await writers.run(await kept.packed(id, sweep.id))) as string}`;
        yield sweeps.length > 0 ? ']}' : '}';
      }
      yield ']}';
    }
    return { name, text: text() };
  }

  /**
   * Adds the job of a file as a new one, all or nothing; every row gets an id of its own. It is read in a thread and put in bit by bit,
   * where nobody sees it, so that no other request waits; the last step shows all of it.
   *
   * @param id of the job to be; the same again gives the job made the first time
   */
  async import(chunks: AsyncIterable<Uint8Array>, id: string): Promise<JobDocument> {
    const { entries } = await this.shop.read();
    return readInBackground(this.threads, chunks, entries, async (read) => {
      if (!read.ok) throw invalid(read.problems);
      const { name, site, practice, place, pictures, brought } = read.head;
      const ids = read.runs.map(() => randomUUID());
      const named = new Map(ids.map((runId, k) => [runInFile(k), runId]));
      const begun = await this.db
        .insert(jobs)
        .values({
          id,
          name,
          site,
          practice,
          ...(place ? { place: renameRuns(place, named), placeVersion: 1 } : {}),
          arriving: true,
          deletedAt: now(),
        })
        .onConflictDoNothing()
        .returning({ id: jobs.id });
      if (begun.length === 0) return this.arrived(id);
      try {
        await this.pictures.putAll(id, pictures);
        await this.putRuns(id, ids, read);
        await this.db.transaction(async (tx) => {
          await this.shop.addMissing(brought, tx);
          await tx.update(jobs).set({ arriving: false, deletedAt: null }).where(eq(jobs.id, id));
        });
      } catch (error) {
        await forgetArriving(this.db, eq(jobs.id, id));
        throw error;
      }
      return this.jobsService.read(id);
    });
  }

  private async putRuns(
    jobId: string,
    ids: readonly string[],
    file: Extract<ReadFile, { ok: true }>,
  ): Promise<void> {
    for (const [n, { design, facts: done, log, revisions, sweeps }] of file.runs.entries()) {
      const runId = ids[n];
      await this.db.insert(runs).values({ id: runId, jobId, design });
      await putLog(
        this.db,
        runId,
        done.map((fact) => ({ ...fact, id: randomUUID() })),
        log,
      );
      await putRevisions(this.db, runId, revisions);
      // Of several birth records of one piece the newest stays.
      const births = new Map<string, { at: string; id: string }>();
      for (let k = 0; k < sweeps; k++) {
        const { about, birth, samples } = await file.sweep();
        const id = randomUUID();
        const { at, pieceId } = about;
        await this.db
          .insert(traces)
          .values({ id, runId, at, pieceId, birth: false, data: { ...about, id }, samples });
        if (birth && at >= (births.get(pieceId)?.at ?? '')) births.set(pieceId, { at, id });
      }
      for (const { id } of births.values())
        await this.db.update(traces).set({ birth: true }).where(eq(traces.id, id));
    }
  }

  /** A second try: the job of the first one, unless that is still under way. */
  private async arrived(id: string): Promise<JobDocument> {
    const [job] = await this.db.select({ arriving: jobs.arriving }).from(jobs).where(eq(jobs.id, id));
    if (job?.arriving)
      throw problem(409, {
        code: 'job.arriving',
        message: 'This file is being imported already.',
        where: 'id',
        remedy: 'Wait until it is done.',
      });
    return this.jobsService.read(id);
  }

  /** The shop’s own entries which decide what is said of these designs; left out when there are none. */
  private async ownEntries(designs: Design[]): Promise<Pick<JobFile, 'catalog'>> {
    const own = (await this.shop.read()).entries.filter((entry) =>
      designs.some((design) => concerns(design, entry)),
    );
    return own.length > 0 ? { catalog: own.map(({ kind, data }) => ({ kind, data })) } : {};
  }
}

/** The picture under the plan, photos of the place, and those in the logs of its runs. */
const picturesNamed = (site: Site | undefined, runs: readonly { facts: Facts }[]): string[] => [
  ...(site?.picture ? [site.picture.id] : []),
  ...(site?.photos ?? []).map(({ id }) => id),
  ...runs.flatMap(({ facts }) => photosOf(facts).map(({ pictureId }) => pictureId)),
];
