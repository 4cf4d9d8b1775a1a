import {
  CreateRun,
  ReplaceRun,
  routes,
  type DeletedRun,
  type RunDocument,
  type RunSheet,
} from '@kobran/contract';
import { Body, Controller, Inject, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { RunsService } from './runs.service.js';
import { RunSheets } from './runSheets.js';

@ApiTags('runs')
@Controller()
export class RunsController {
  constructor(
    @Inject(RunsService) private readonly runs: RunsService,
    @Inject(RunSheets) private readonly sheets: RunSheets,
  ) {}

  @Handles(routes.listRuns)
  async list(@Param('id', ParseUUIDPipe) id: string): Promise<RunDocument[]> {
    return (await this.runs.ofJob(id)).runs;
  }

  @Handles(routes.createRun)
  create(@Param('id', ParseUUIDPipe) jobId: string, @Body() body: CreateRun): Promise<RunDocument> {
    return this.runs.create(jobId, body);
  }

  @Handles(routes.readRun)
  read(@Param('id', ParseUUIDPipe) id: string): Promise<RunDocument> {
    return this.runs.read(id);
  }

  @Handles(routes.readSheet)
  async sheet(@Param('id', ParseUUIDPipe) id: string): Promise<RunSheet> {
    const {
      sheet: { ruler: _, sweep: __, ...sheet },
    } = await this.sheets.sheetOf(id);
    return sheet;
  }

  @Handles(routes.replaceRun)
  replace(@Param('id', ParseUUIDPipe) id: string, @Body() body: ReplaceRun): Promise<RunDocument> {
    return this.runs.replace(id, body);
  }

  @Handles(routes.removeRun)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.runs.remove(id);
  }

  @Handles(routes.listDeletedRuns)
  deleted(): Promise<DeletedRun[]> {
    return this.runs.deleted();
  }

  @Handles(routes.restoreRun)
  restore(@Param('id', ParseUUIDPipe) id: string): Promise<RunDocument> {
    return this.runs.restore(id);
  }
}
