import { routes, type JobDocument } from '@kobran/contract';
import { Controller, Inject, Param, ParseUUIDPipe, Query, Req, Res } from '@nestjs/common';
import { ApiProduces, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { randomUUID } from 'node:crypto';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ByCaller, type Caller } from '../crew/caller.js';
import { CrewLogService } from '../crew/crewLog.service.js';
import { atMost } from '../gate/atMost.js';
import { Handles, HandlesFile } from '../handles.js';
import { JobFileService } from './jobFile.service.js';

/** A job file of this many bytes has some five hundred sweeps of 10 001 points. */
const MAX_JOB_FILE = 256 * 1024 * 1024;

@ApiTags('jobs')
@Controller()
export class JobFileController {
  constructor(
    @Inject(JobFileService) private readonly files: JobFileService,
    @Inject(CrewLogService) private readonly log: CrewLogService,
  ) {}

  @HandlesFile(routes.exportJob)
  @ApiProduces('application/json')
  async export(@Param('id', ParseUUIDPipe) id: string, @Res() response: Response): Promise<void> {
    const { name, text } = await this.files.export(id);
    response.attachment(`${slug(name)}.kobran.json`);
    // A fault on the way ends the connection, so that what came so far is not taken for the whole.
    await pipeline(Readable.from(text), response);
  }

  @Handles(routes.importJob)
  @ApiQuery({ name: 'id', required: false, type: String })
  async import(
    @ByCaller() caller: Caller,
    @Req() request: Request,
    @Query('id', new ParseUUIDPipe({ optional: true })) id?: string,
  ): Promise<JobDocument> {
    const job = await this.files.import(atMost(request, MAX_JOB_FILE), id ?? randomUUID());
    await this.log.tell('job imported', caller, job.name);
    return job;
  }
}

/** A file name every system takes: a–z, 0–9 and -. */
const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'job';
