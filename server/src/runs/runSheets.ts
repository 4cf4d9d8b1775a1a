import type { RunDocument } from '@kobran/contract';
import { evaluate, onSite, type Catalog, type Practice, type Sheet, type Site } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { PracticeService } from '../practice/practice.service.js';
import { ShopService } from '../shop/shop.service.js';
import { SitesService } from '../sites/sites.service.js';
import { RunsService } from './runs.service.js';

/** A run with everything that decides what Kobran says of it. */
export interface OpenedRun {
  run: RunDocument;
  catalog: Catalog;
  jobName: string;
  practice: Practice;
  sheet: Sheet;
  /** The place in which the run lies. */
  place: Site | undefined;
}

/** The one place of the server where a run is evaluated: the API, the reports and the browser say the same. */
@Injectable()
export class RunSheets {
  constructor(
    @Inject(RunsService) private readonly runs: RunsService,
    @Inject(PracticeService) private readonly practices: PracticeService,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(SitesService) private readonly sites: SitesService,
  ) {}

  /** The catalogue of the shop, for who has no run to ask. */
  catalog(): Promise<Catalog> {
    return this.shop.catalog();
  }

  async sheetOf(runId: string): Promise<OpenedRun> {
    const read = await this.runs.read(runId);
    const [{ practice, jobName }, catalog, place] = await Promise.all([
      this.practices.ofJob(read.jobId),
      this.shop.catalog(),
      read.design.route ? this.sites.ofJob(read.jobId) : undefined,
    ]);
    const run = { ...read, design: onSite(read.design, place?.site) };
    const sheet = evaluate(run.design, catalog, { facts: run.facts, practice });
    return { run, catalog, jobName, practice, sheet, place: place?.site };
  }
}
