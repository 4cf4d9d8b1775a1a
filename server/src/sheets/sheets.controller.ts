import { Controller, Get, Inject, Param, ParseUUIDPipe, Query, StreamableFile } from '@nestjs/common';
import { ApiOperation, ApiProduces, ApiTags } from '@nestjs/swagger';
import { GaugeSheetQuery, LabelSheetQuery } from '@kobran/contract';
import { SheetsService } from './sheets.service.js';

const pdf = (bytes: Buffer, name: string): StreamableFile =>
  new StreamableFile(bytes, { type: 'application/pdf', disposition: `inline; filename="${name}"` });

@ApiTags('sheets')
@Controller('api/runs')
export class SheetsController {
  constructor(@Inject(SheetsService) private readonly sheets: SheetsService) {}

  @Get(':id/gauges.pdf')
  @ApiProduces('application/pdf')
  @ApiOperation({ summary: 'Strip gauges of the run’s ends at true 1:1, one page each; or of one end' })
  async gauges(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: GaugeSheetQuery,
  ): Promise<StreamableFile> {
    return pdf(await this.sheets.gauges(id, query), 'gauges.pdf');
  }

  @Get(':id/labels.pdf')
  @ApiProduces('application/pdf')
  @ApiOperation({ summary: 'Flag labels for several of one assembly, two to a piece' })
  async labels(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: LabelSheetQuery,
  ): Promise<StreamableFile> {
    return pdf(await this.sheets.labels(id, query), 'labels.pdf');
  }
}
