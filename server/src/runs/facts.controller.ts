import { signOffProblem } from '@kobran/core';
import { routes, type LoggedEnd, type LoggedTrim } from '@kobran/contract';
import { Body, Controller, Inject, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { RunsService } from './runs.service.js';
import { problem } from '../errors/problem.js';
import { FactsService } from '../facts/facts.service.js';
import { RunSheets } from './runSheets.js';

@ApiTags('facts')
@Controller()
export class FactsController {
  constructor(
    @Inject(FactsService) private readonly facts: FactsService,
    @Inject(RunsService) private readonly runs: RunsService,
    @Inject(RunSheets) private readonly sheets: RunSheets,
  ) {}

  @Handles(routes.addFact)
  async add(@Param('id', ParseUUIDPipe) id: string, @Body() body: unknown): Promise<void> {
    const fact = this.facts.checked(body);
    await this.runs.mustStand(id);
    if (fact.kind === 'handed over') {
      const { run, sheet } = await this.sheets.sheetOf(id);
      const against = signOffProblem(sheet, fact);
      // One which was taken before is only sent again.
      if (against && !run.facts.some((kept) => kept.id === fact.id)) throw problem(409, against);
    }
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
