import { CreateJob, ReplaceJob, type JobDocument, type JobSummary } from '@kobran/contract';
import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Param,
  ParseBoolPipe,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiQuery, ApiTags } from '@nestjs/swagger';
import { schemaOf } from '../openapi.js';
import { JobsService } from './jobs.service.js';

@ApiTags('jobs')
@Controller('api/jobs')
export class JobsController {
  constructor(@Inject(JobsService) private readonly jobs: JobsService) {}

  @Get()
  @ApiOperation({ summary: 'Jobs; with deleted=true those which can be restored' })
  @ApiQuery({ name: 'deleted', required: false, type: Boolean })
  list(@Query('deleted', new ParseBoolPipe({ optional: true })) deleted?: boolean): Promise<JobSummary[]> {
    return this.jobs.list(deleted ?? false);
  }

  @Get(':id')
  @ApiOperation({ summary: 'A job with its runs, readings and log' })
  read(@Param('id', ParseUUIDPipe) id: string): Promise<JobDocument> {
    return this.jobs.read(id);
  }

  @Post()
  @ApiOperation({ summary: 'Make a job; the same id again makes none' })
  @ApiBody(schemaOf(CreateJob))
  create(@Body() body: CreateJob): Promise<JobDocument> {
    return this.jobs.create(body);
  }

  @Put(':id')
  @ApiOperation({
    summary: 'Replace a job’s name, site and practice; 409 when the version is not the current one',
  })
  @ApiBody(schemaOf(ReplaceJob))
  replace(@Param('id', ParseUUIDPipe) id: string, @Body() body: ReplaceJob): Promise<JobDocument> {
    return this.jobs.replace(id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Delete a job; it can be restored' })
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.jobs.remove(id);
  }

  @Post(':id/restore')
  @HttpCode(200)
  @ApiOperation({ summary: 'Bring a deleted job back' })
  restore(@Param('id', ParseUUIDPipe) id: string): Promise<JobDocument> {
    return this.jobs.restore(id);
  }
}
