import type { GaugeSheetQuery, LabelSheetQuery, SiteLabelsQuery } from '@kobran/contract';
import {
  batchEndId,
  assembliesOf,
  cardFor,
  gaugeSheet,
  labelSheet,
  labelsOf,
  placeLabel,
  heightProfile,
  routeMarks,
  factsOf,
  makeSchools,
  newest,
  tactileSheets,
  type LabelledRun,
  type Paper,
} from '@kobran/core';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { create } from 'qrcode';
import { notFound } from '../errors/problem.js';
import { JobsService } from '../jobs/jobs.service.js';
import { RunSheets } from '../runs/runSheets.js';
import { background } from '../work/background.js';

/** A label with the dark cells of its code. */
type CodedLabel = Parameters<typeof labelSheet>[0][number];

/** What is printed for the bench. */
@Injectable()
export class ReportsService implements OnModuleDestroy {
  private readonly threads = background('reports/pdf.worker.js');

  constructor(
    @Inject(RunSheets) private readonly sheets: RunSheets,
    @Inject(JobsService) private readonly jobs: JobsService,
  ) {}

  onModuleDestroy(): Promise<void> {
    return this.threads.destroy();
  }

  /** Every end which has a card, or the one that is asked for. */
  async gauges(runId: string, { end, units = 'metric', form = 'sheet' }: GaugeSheetQuery): Promise<Buffer> {
    const { run, jobName, practice, sheet } = await this.sheets.sheetOf(runId);
    const ends = sheet.ends.filter(
      ({ id, gauge }) => (end === undefined || id === end) && gauge.fit.verdict === 'fits',
    );
    const papers =
      form === 'tactile'
        ? tactileSheets(ends, units)
        : ends.flatMap((one) => {
            const card = cardFor(one.part, one.cable, units, {
              schools: makeSchools(practice),
              exposed: one.exposed,
              farEndMade: one.farEndMade,
              twoPersonCheck: practice.twoPersonCheck ?? false,
            });
            const head = { end: one.name, run: run.design.name, job: jobName };
            return card ? [gaugeSheet(card, head, units)] : [];
          });
    if (papers.length === 0) throw notFound('card', end ?? 'any end');
    return this.drawn(papers, `Strip gauges, ${run.design.name}`);
  }

  /**
   * Both ends of every assembly, and the boxes and entries on the run’s route; or several of the assembly that is asked for.
   *
   * @param address where this Kobran is reached from: the code on a label leads to where a visit to its piece begins
   */
  async labels(runId: string, query: LabelSheetQuery, address: string): Promise<Buffer> {
    const { name, labels } = await this.labelsOf(runId, query, address);
    if (labels.length === 0) throw notFound('assembly', query.piece ?? 'any');
    return this.drawn(labelSheet(labels, query.form, query.size), `Labels, ${name}`);
  }

  /** Those of every run of a site. */
  async siteLabels(jobId: string, { form, size }: SiteLabelsQuery, address: string): Promise<Buffer> {
    const job = await this.jobs.read(jobId);
    const labels: CodedLabel[] = [];
    for (const { id } of job.runs) labels.push(...(await this.labelsOf(id, {}, address)).labels);
    if (labels.length === 0) throw notFound('assembly', 'any');
    return this.drawn(labelSheet(labels, form, size), `Labels, ${job.name}`);
  }

  private async labelsOf(
    runId: string,
    { piece, count }: LabelSheetQuery,
    address: string,
  ): Promise<{ name: string; labels: CodedLabel[] }> {
    const { run, sheet, catalog, place } = await this.sheets.sheetOf(runId);
    const assemblies = assembliesOf(run.design).filter(({ id }) => piece === undefined || id === piece);
    const of: LabelledRun = {
      name: run.design.name,
      code: runId.slice(-6),
      topHz: sheet.topHz,
      madeOn: (end, piece) =>
        newest(
          factsOf(run.facts, 'end made').filter(
            ({ endId }) => endId === (piece === 0 ? end : batchEndId(end, piece)),
          ),
        )?.at.slice(0, 10),
    };
    const labels = assemblies.flatMap((one) => {
      const cells = cellsOf(`${address}/runs/${runId}/visit?at=${encodeURIComponent(one.id)}`);
      return labelsOf(one, count ?? one.count ?? 1, catalog, of).map((label) => ({ ...label, cells }));
    });
    const profile = piece === undefined && place ? heightProfile(run.design, place) : undefined;
    const boxes =
      profile && place
        ? routeMarks(profile, { design: run.design, sheet, runId }, place, catalog).filter(
            ({ kind }) => kind === 'box',
          )
        : [];
    const cells = cellsOf(`${address}/runs/${runId}/visit`);
    const places = boxes.map((box) => ({ ...placeLabel(box, run.design.name, of.code), cells }));
    return { name: run.design.name, labels: [...labels, ...places] };
  }

  private async drawn(papers: Paper[], title: string): Promise<Buffer> {
    return Buffer.from((await this.threads.run({ papers, title })) as Uint8Array);
  }
}

/** A text as the dark cells of a QR code (ISO/IEC 18004), of which a seventh may be dirty. */
function cellsOf(text: string): boolean[][] {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  return Array.from({ length: modules.size }, (_, row) =>
    Array.from({ length: modules.size }, (__, column) => modules.get(row, column) === 1),
  );
}
