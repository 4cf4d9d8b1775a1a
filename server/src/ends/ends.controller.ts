import type { LoggedEnd, LoggedTrim } from '@kobran/contract';
import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { EndsService } from './ends.service.js';

@ApiTags('ends')
@Controller('api')
export class EndsController {
  constructor(@Inject(EndsService) private readonly ends: EndsService) {}

  @Get('ends')
  @ApiOperation({ summary: 'Every end made or failed in all jobs, with part, recipe, person and cause' })
  list(): Promise<LoggedEnd[]> {
    return this.ends.list();
  }

  @Get('trims')
  @ApiOperation({ summary: 'Every resonance read while trimming, in all jobs: what lots have taught' })
  trims(): Promise<LoggedTrim[]> {
    return this.ends.trims();
  }
}
