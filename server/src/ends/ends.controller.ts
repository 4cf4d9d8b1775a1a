import type { LoggedEnd } from '@kobran/contract';
import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { EndsService } from './ends.service.js';

@ApiTags('ends')
@Controller('api/ends')
export class EndsController {
  constructor(@Inject(EndsService) private readonly ends: EndsService) {}

  @Get()
  @ApiOperation({ summary: 'Every end made or failed in all jobs, with part, recipe, person and cause' })
  list(): Promise<LoggedEnd[]> {
    return this.ends.list();
  }
}
