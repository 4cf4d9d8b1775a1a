import { JobFile, readAs, routes, upgradeJobFile, type JobDocument } from '@kobran/contract';
import { isObject } from '@kobran/core';
import { Body, Controller, Inject, Param, ParseUUIDPipe, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { invalid } from '../errors/problem.js';
import { Handles } from '../handles.js';
import { JobFileService } from './jobFile.service.js';

@ApiTags('jobs')
@Controller()
export class JobFileController {
  constructor(@Inject(JobFileService) private readonly files: JobFileService) {}

  @Handles(routes.exportJob)
  async export(
    @Param('id', ParseUUIDPipe) id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<JobFile> {
    const file = await this.files.export(id);
    response.attachment(`${slug(file.name)}.kobran.json`);
    return file;
  }

  /** A file of an older schema is upgraded before the rules look at it, so its body is read here and not by the pipe. */
  @Handles(routes.importJob)
  import(@Body() body: unknown): Promise<JobDocument> {
    const upgraded = upgradeJobFile(body);
    const read = readAs(JobFile, isObject(upgraded) ? upgraded : {});
    if (!read.ok) throw invalid(read.problems);
    return this.files.import(read.value);
  }
}

/** A file name every system takes: a–z, 0–9 and -. */
const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'job';
