import { KeepProgress, routes, type ProgressDocument } from '@kobran/contract';
import { Body, Controller, Inject, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { invalid } from '../errors/problem.js';
import { Handles } from '../handles.js';
import { ProgressService } from './progress.service.js';

/** `card main.a`, `batch main.a`: more is no name of a work. */
const MAX_KEY = 120;

@ApiTags('progress')
@Controller()
export class ProgressController {
  constructor(@Inject(ProgressService) private readonly progress: ProgressService) {}

  @Handles(routes.listProgress)
  list(@Param('id', ParseUUIDPipe) id: string): Promise<ProgressDocument[]> {
    return this.progress.list(id);
  }

  @Handles(routes.keepProgress)
  keep(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('key') key: string,
    @Body() body: KeepProgress,
  ): Promise<ProgressDocument> {
    if (key.length > MAX_KEY)
      throw invalid([
        {
          code: 'progress.key',
          message: `The key has ${key.length} characters.`,
          where: 'path',
          remedy: `Use at most ${MAX_KEY}.`,
        },
      ]);
    return this.progress.keep(id, key, body);
  }
}
