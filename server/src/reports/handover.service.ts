import {
  cableScheduleCsv,
  cutListCsv,
  materialsUsedCsv,
  partsListCsv,
  supportListCsv,
  traceOf,
  type AsBuiltQuery,
} from '@kobran/contract';
import {
  asBuiltRun,
  asBuiltSite,
  birthEcho,
  emptySite,
  heightDrawing,
  heightProfile,
  inspectionsOf,
  magnitudes,
  partName,
  partsList,
  photosOf,
  placeNames,
  routeMarks,
  returnLossDb,
  siteGeoJson,
  survey,
  surveyedFacts,
  usesOfJob,
  writeTouchstone,
  type BuiltRun,
  type Catalog,
  type Design,
  type Inspection,
  type Practice,
  type PrintedPicture,
  type PrintedSweep,
  type Report,
  type ReportOptions,
  type Site,
  type SiteSheet,
} from '@kobran/core';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { zipSync, strToU8, type Zippable } from 'fflate';
import { bytesOf } from '../database/schema.js';
import { FactsService } from '../facts/facts.service.js';
import { ShopLogService } from '../facts/shopLog.service.js';
import { JobFileService } from '../jobs/jobFile.service.js';
import { JobsService } from '../jobs/jobs.service.js';
import { RunSheets } from '../runs/runSheets.js';
import { now } from '../store/moment.js';
import { BoardService } from '../summaries/board.service.js';
import { TracesService } from '../traces/traces.service.js';
import { PicturesService } from '../pictures/pictures.service.js';
import { background } from '../work/background.js';
import { calendarOf } from './calendar.js';

type OpenedRun = BuiltRun & { id: string };

/** A job with everything its documents say. */
interface OpenedJob {
  name: string;
  where: string;
  site: Site;
  sheet: SiteSheet;
  pictures: ReadonlyMap<string, PrintedPicture>;
  catalog: Catalog;
  practice: Practice;
  runs: OpenedRun[];
}

/** What is given away at the end: as-built documents, calendars, and all of it in one file. */
@Injectable()
export class HandoverService implements OnModuleDestroy {
  private readonly threads = background('reports/pdf.worker.js');

  constructor(
    @Inject(RunSheets) private readonly sheets: RunSheets,
    @Inject(JobsService) private readonly jobs: JobsService,
    @Inject(JobFileService) private readonly files: JobFileService,
    @Inject(TracesService) private readonly traces: TracesService,
    @Inject(FactsService) private readonly facts: FactsService,
    @Inject(BoardService) private readonly board: BoardService,
    @Inject(ShopLogService) private readonly shopLog: ShopLogService,
    @Inject(PicturesService) private readonly pictures: PicturesService,
  ) {}

  onModuleDestroy(): Promise<void> {
    return this.threads.destroy();
  }

  async runAsBuilt(runId: string, query: AsBuiltQuery): Promise<Buffer> {
    const run = await this.openedRun(runId, query);
    const options = optionsOf(query);
    return this.drawn({
      title: `As built, ${run.design.name}`,
      foot: `${run.design.name}${options.forCustomer ? '' : `   log ${run.log.head.slice(0, 16)}`}`,
      blocks: asBuiltRun(run, options),
    });
  }

  async siteAsBuilt(jobId: string, query: AsBuiltQuery): Promise<Buffer> {
    return this.siteDocument(await this.openedJob(jobId, query), query);
  }

  /** Inspections of a job as a calendar. */
  async calendar(jobId: string): Promise<string> {
    const { name, runs } = await this.openedJob(jobId);
    return calendarOf(name, dueOf(runs));
  }

  /** Inspections of all jobs as a calendar. */
  async wholeCalendar(): Promise<string> {
    const due = await this.board.inspections(false);
    return calendarOf(
      'all sites',
      due.map(({ job, ...one }) => ({ ...one, run: `${job}, ${one.run}` })),
    );
  }

  /** Everything of a job in one file; any Kobran imports it again by the job file in it. */
  async archive(jobId: string, query: AsBuiltQuery): Promise<{ name: string; bytes: Buffer }> {
    const job = await this.openedJob(jobId, query);
    const { units = 'metric' } = query;
    const { text } = await this.files.export(jobId);
    let file = '';
    for await (const piece of text) file += piece;
    const parts = partsList(job.runs, job.sheet, job.catalog, await this.shopLog.read());
    const entries: Zippable = {
      'job.json': strToU8(file),
      'as-built.pdf': new Uint8Array(await this.siteDocument(job, query)),
      'inspections.ics': strToU8(calendarOf(job.name, dueOf(job.runs))),
      'cable-schedule.csv': strToU8(cableScheduleCsv(job.sheet, units)),
      'supports.csv': strToU8(supportListCsv(job.sheet, units)),
      'cut-list.csv': strToU8(
        cutListCsv(
          job.runs.map(({ design, sheet }) => ({ name: design.name, cuts: sheet.cuts })),
          units,
        ),
      ),
      'materials-used.csv': strToU8(
        materialsUsedCsv(
          usesOfJob(
            job.runs.map(({ design, facts }) => ({ name: design.name, facts })),
            job.site,
            job.catalog,
          ),
          (part) => partName(part, job.catalog, job.practice),
        ),
      ),
      'parts.csv': strToU8(partsListCsv(parts, units)),
      'site.geojson': strToU8(JSON.stringify(siteGeoJson(job.site))),
      'log-heads.txt': strToU8(
        job.runs.map(({ design, log }) => `${log.head}  ${log.entries} entries  ${design.name}\n`).join(''),
      ),
    };
    for (const [name, bytes] of photoFiles(job)) entries[name] = bytes;
    for (const [k, { id, design }] of job.runs.entries())
      for (const sweep of await this.traces.list(id)) {
        const trace = traceOf(await this.traces.read(id, sweep.id));
        const name = `sweeps/${k + 1}-${plainName(design.name)}/${plainName(sweep.name)}-${sweep.id.slice(0, 8)}.s${trace.ports}p`;
        entries[name] = strToU8(writeTouchstone(trace, [design.name, sweep.name, sweep.at]));
      }
    return { name: job.name, bytes: Buffer.from(zipSync(entries, { level: 6 })) };
  }

  private siteDocument(job: OpenedJob, query: AsBuiltQuery): Promise<Buffer> {
    return this.drawn({
      title: `As built, ${job.name}`,
      foot: job.name,
      blocks: asBuiltSite(job, job.runs, optionsOf(query)),
    });
  }

  private async openedJob(jobId: string, query: AsBuiltQuery = {}): Promise<OpenedJob> {
    const job = await this.jobs.read(jobId);
    const runs: OpenedRun[] = [];
    for (const { id } of job.runs) runs.push(await this.openedRun(id, query));
    const site = job.place?.site ?? emptySite;
    const [{ catalog }] = runs.length > 0 ? runs : [{ catalog: await this.sheets.catalog() }];
    const surveyed = runs.map((run) => ({
      ...run,
      ...surveyedFacts(run.facts),
    }));
    return {
      name: job.name,
      where: job.site,
      site,
      pictures: await this.printed(
        jobId,
        (site.photos ?? []).map(({ id }) => id),
      ),
      sheet: survey(site, surveyed, catalog, job.practice.codeProfiles),
      catalog,
      practice: job.practice,
      runs,
    };
  }

  private async openedRun(id: string, { units = 'metric' }: AsBuiltQuery): Promise<OpenedRun> {
    const { run, practice, sheet, catalog, place } = await this.sheets.sheetOf(id);
    const profile = place && heightProfile(run.design, place);
    const log = await this.facts.log(id);
    return {
      id,
      design: run.design,
      facts: run.facts,
      sheet,
      practice,
      catalog,
      log: { head: log.head, entries: log.facts.length },
      birth: await this.birthOf(id, run.design, catalog),
      height:
        place && profile
          ? heightDrawing(
              profile,
              routeMarks(profile, { design: run.design, sheet, runId: id }, place, catalog),
              sheet.totalM,
              units,
            )
          : undefined,
      pictures: await this.printed(
        run.jobId,
        photosOf(run.facts).map(({ pictureId }) => pictureId),
      ),
    };
  }

  private async printed(jobId: string, ids: readonly string[]): Promise<Map<string, PrintedPicture>> {
    const found = await this.pictures.named(jobId, ids);
    return new Map(found.map(({ id, type, base64 }) => [id, { type, bytes: bytesOf(base64) }]));
  }

  /** The birth record of the whole run, else of one of its cables. */
  private async birthOf(runId: string, design: Design, catalog: Catalog): Promise<PrintedSweep | undefined> {
    const births = (await this.traces.list(runId)).filter(({ birth }) => birth);
    const chosen = births.find(({ pieceId }) => pieceId === '') ?? births.at(0);
    if (!chosen) return undefined;
    const kept = await this.traces.read(runId, chosen.id);
    const { frequencyHz, s } = traceOf(kept);
    return {
      name: kept.name,
      at: kept.at,
      frequencyHz,
      returnLossDb: magnitudes(s.s11).map(returnLossDb),
      echo: birthEcho(design, catalog, { pieceId: kept.pieceId, far: kept.far, frequencyHz, s11: s.s11 }),
    };
  }

  private async drawn(report: Report): Promise<Buffer> {
    return Buffer.from((await this.threads.run({ report })) as Uint8Array);
  }
}

const optionsOf = ({ units = 'metric', copy = 'crew' }: AsBuiltQuery): ReportOptions => ({
  units,
  forCustomer: copy === 'customer',
  day: (at) => new Date(at).toISOString().slice(0, 10),
  now: now(),
});

const dueOf = (runs: readonly Pick<OpenedRun, 'id' | 'design' | 'sheet'>[]): Inspection[] =>
  inspectionsOf(
    runs.map(({ id, design, sheet }) => ({ id, name: design.name, sheet })),
    now(),
  );

/** Photos by their runs, each under the place which is on it. */
function* photoFiles({ runs, site, pictures }: OpenedJob): Iterable<[name: string, bytes: Uint8Array]> {
  const fileName = (folder: string, about: string, id: string, type: string): string =>
    `photos/${folder}/${plainName(about || 'run')}-${id.slice(0, 8)}.${type.replace('image/', '').replace('jpeg', 'jpg')}`;
  for (const [k, run] of runs.entries()) {
    const names = placeNames(run.sheet);
    for (const { pictureId, about } of photosOf(run.facts)) {
      const found = run.pictures.get(pictureId);
      const folder = `${k + 1}-${plainName(run.design.name)}`;
      if (found) yield [fileName(folder, names.get(about) ?? about, pictureId, found.type), found.bytes];
    }
  }
  for (const { id, about } of site.photos ?? []) {
    const found = pictures.get(id);
    if (found) yield [fileName('site', about, id, found.type), found.bytes];
  }
}

/** A name for a file which every disk takes. */
const plainName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^\w.-]+/g, '-')
    .replace(/^[-.]+|[-.]+$/g, '')
    .slice(0, 60) || 'unnamed';
