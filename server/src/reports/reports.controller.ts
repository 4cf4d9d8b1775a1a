import { GaugeSheetQuery, LabelSheetQuery, routes, SiteLabelsQuery } from '@kobran/contract';
import { Controller, Inject, Param, ParseUUIDPipe, Query, Req, StreamableFile } from '@nestjs/common';
import type { Request } from 'express';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import { HandlesFile } from '../handles.js';
import { ReportsService } from './reports.service.js';

const pdf = (bytes: Buffer, name: string): StreamableFile =>
  new StreamableFile(bytes, { type: 'application/pdf', disposition: `inline; filename="${name}"` });

/** Where this Kobran is reached from. */
const addressOf = (request: Request): string => `${request.protocol}://${request.get('host') ?? 'localhost'}`;

@ApiTags('reports')
@Controller()
export class ReportsController {
  constructor(@Inject(ReportsService) private readonly reports: ReportsService) {}

  @HandlesFile(routes.printGauges)
  @ApiProduces('application/pdf')
  async gauges(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: GaugeSheetQuery,
  ): Promise<StreamableFile> {
    return pdf(await this.reports.gauges(id, query), 'gauges.pdf');
  }

  @HandlesFile(routes.printLabels)
  @ApiProduces('application/pdf')
  async labels(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: LabelSheetQuery,
    @Req() request: Request,
  ): Promise<StreamableFile> {
    return pdf(await this.reports.labels(id, query, addressOf(request)), 'labels.pdf');
  }

  @HandlesFile(routes.printSiteLabels)
  @ApiProduces('application/pdf')
  async siteLabels(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: SiteLabelsQuery,
    @Req() request: Request,
  ): Promise<StreamableFile> {
    return pdf(await this.reports.siteLabels(id, query, addressOf(request)), 'labels.pdf');
  }
}
