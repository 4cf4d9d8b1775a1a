import { routes, type LoggedEnd, type LoggedTrim } from '@kobran/contract';
import { Body, Controller, Inject, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { RunsService } from './runs.service.js';
import { FactsService } from '../facts/facts.service.js';

@ApiTags('facts')
@Controller()
export class FactsController {
  constructor(
    @Inject(FactsService) private readonly facts: FactsService,
    @Inject(RunsService) private readonly runs: RunsService,
  ) {}

  @Handles(routes.addFact)
  async add(@Param('id', ParseUUIDPipe) id: string, @Body() body: unknown): Promise<void> {
    const fact = this.facts.checked(body);
    await this.runs.mustStand(id);
    await this.facts.add(id, fact);
  }

  @Handles(routes.listEnds)
  ends(): Promise<LoggedEnd[]> {
    return this.facts.ends();
  }

  @Handles(routes.listTrims)
  trims(): Promise<LoggedTrim[]> {
    return this.facts.trims();
  }
}
