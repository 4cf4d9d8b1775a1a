import { JobFile, type JobDocument } from '@kobran/contract';
import { Body, Controller, Get, Inject, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { schemaOf } from '../openapi.js';
import { JobFileService } from './jobFile.service.js';

@ApiTags('files')
@Controller('api/jobs')
export class JobFileController {
  constructor(@Inject(JobFileService) private readonly files: JobFileService) {}

  @Get(':id/file')
  @ApiOperation({ summary: 'The whole job as one JSON file' })
  async write(
    @Param('id', ParseUUIDPipe) id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<JobFile> {
    const file = await this.files.write(id);
    response.attachment(`${slug(file.name)}.kobran.json`);
    return file;
  }

  @Post('import')
  @ApiOperation({ summary: 'Add the job of a file as a new one' })
  @ApiBody(schemaOf(JobFile))
  read(@Body() file: JobFile): Promise<JobDocument> {
    return this.files.read(file);
  }
}

/** A file name every system takes: a–z, 0–9 and -. */
const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'job';
