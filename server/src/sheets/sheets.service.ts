import type { GaugeSheetQuery, LabelSheetQuery } from '@kobran/contract';
import {
  cardFor,
  evaluate,
  gaugeSheet,
  labelSheet,
  makeSchools,
  type Assembly,
  type Sheet,
} from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { notFound } from '../errors/problem.js';
import { JobsService } from '../jobs/jobs.service.js';
import { RunsService } from '../runs/runs.service.js';
import { ShopService } from '../shop/shop.service.js';
import { pdfOf } from './pdf.js';

/** What is printed for the bench. */
@Injectable()
export class SheetsService {
  constructor(
    @Inject(RunsService) private readonly runs: RunsService,
    @Inject(JobsService) private readonly jobs: JobsService,
    @Inject(ShopService) private readonly shop: ShopService,
  ) {}

  /** Every end which has a card, or the one that is asked for. */
  async gauges(runId: string, { end, units = 'metric' }: GaugeSheetQuery): Promise<Buffer> {
    const { run, job, sheet } = await this.open(runId);
    const papers = sheet.ends
      .filter(({ id }) => end === undefined || id === end)
      .flatMap((one) => {
        const card = cardFor(one.part, one.cable, units, {
          schools: makeSchools(job.practice),
          exposed: one.exposed,
          farEndMade: one.farEndMade,
          twoPersonCheck: job.practice.twoPersonCheck ?? false,
        });
        const head = { end: one.name, run: run.design.name, job: job.name };
        return card && one.gauge.fit.verdict === 'fits' ? [gaugeSheet(card, head, units)] : [];
      });
    if (papers.length === 0) throw notFound('card', end ?? 'any end');
    return pdfOf(papers, `Strip gauges, ${run.design.name}`);
  }

  async labels(runId: string, { piece, count }: LabelSheetQuery): Promise<Buffer> {
    const { run, sheet, catalog } = await this.open(runId);
    const assembly = run.design.pieces.find(
      (one): one is Assembly => one.id === piece && one.kind === 'assembly',
    );
    if (!assembly) throw notFound('assembly', piece);
    return pdfOf(labelSheet(assembly, count, catalog, sheet.topHz), `Labels, ${assembly.label}`);
  }

  private async open(runId: string) {
    const run = await this.runs.read(runId);
    const [job, catalog] = await Promise.all([this.jobs.read(run.jobId), this.shop.catalog()]);
    const sheet: Sheet = evaluate(run.design, catalog, {
      facts: { readings: run.readings, log: run.log },
      practice: job.practice,
      sweepPoints: 1,
    });
    return { run, job, catalog, sheet };
  }
}
