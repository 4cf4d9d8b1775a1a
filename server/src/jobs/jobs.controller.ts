import { CreateJob, ReplaceJob, routes, type JobDocument, type JobSummary } from '@kobran/contract';
import { Body, Controller, Inject, Param, ParseBoolPipe, ParseUUIDPipe, Query } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import { ByCaller, type Caller } from '../crew/caller.js';
import { CrewLogService } from '../crew/crewLog.service.js';
import { Handles } from '../handles.js';
import { JobsService } from './jobs.service.js';

@ApiTags('jobs')
@Controller()
export class JobsController {
  constructor(
    @Inject(JobsService) private readonly jobs: JobsService,
    @Inject(CrewLogService) private readonly log: CrewLogService,
  ) {}

  @Handles(routes.listJobs)
  @ApiQuery({ name: 'deleted', required: false, type: Boolean })
  list(@Query('deleted', new ParseBoolPipe({ optional: true })) deleted?: boolean): Promise<JobSummary[]> {
    return this.jobs.list(deleted ?? false);
  }

  @Handles(routes.readJob)
  read(@Param('id', ParseUUIDPipe) id: string): Promise<JobDocument> {
    return this.jobs.read(id);
  }

  @Handles(routes.createJob)
  create(@Body() body: CreateJob): Promise<JobDocument> {
    return this.jobs.create(body);
  }

  @Handles(routes.openDemo)
  openDemo(): Promise<void> {
    return this.jobs.openDemo();
  }

  @Handles(routes.replaceJob)
  replace(@Param('id', ParseUUIDPipe) id: string, @Body() body: ReplaceJob): Promise<JobDocument> {
    return this.jobs.replace(id, body);
  }

  @Handles(routes.removeJob)
  async remove(@ByCaller() caller: Caller, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    await this.log.tell('job deleted', caller, await this.jobs.remove(id));
  }

  @Handles(routes.restoreJob)
  restore(@Param('id', ParseUUIDPipe) id: string): Promise<JobDocument> {
    return this.jobs.restore(id);
  }
}
