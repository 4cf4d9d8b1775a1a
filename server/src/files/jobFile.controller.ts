import { JobFile, type JobDocument } from '@kobran/contract';
import { Body, Controller, Get, Header, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { schemaOf } from '../openapi.js';
import { JobFileService } from './jobFile.service.js';

@ApiTags('files')
@Controller('api/jobs')
export class JobFileController {
  constructor(@Inject(JobFileService) private readonly files: JobFileService) {}

  @Get(':id/file')
  @Header('Content-Disposition', 'attachment; filename="job.kobran.json"')
  @ApiOperation({ summary: 'The whole job as one JSON file' })
  write(@Param('id', ParseUUIDPipe) id: string): Promise<JobFile> {
    return this.files.write(id);
  }

  @Post('import')
  @ApiOperation({ summary: 'Add the job of a file as a new one' })
  @ApiBody(schemaOf(JobFile))
  read(@Body() file: JobFile): Promise<JobDocument> {
    return this.files.read(file);
  }
}
