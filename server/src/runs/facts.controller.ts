import { documentHash, signedState, signOffProblem, type FactOf, type KeptLog } from '@kobran/core';
import {
  routes,
  type LoggedEnd,
  type LoggedTrim,
  type ShopLogDocument,
  type SignedDesign,
} from '@kobran/contract';
import { Body, Controller, Inject, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { RunsService } from './runs.service.js';
import { problem } from '../errors/problem.js';
import { ByCaller, signedBy, type Caller } from '../crew/caller.js';
import { FactsService } from '../facts/facts.service.js';
import { ShopLogService } from '../facts/shopLog.service.js';
import { RunSheets } from './runSheets.js';

@ApiTags('facts')
@Controller()
export class FactsController {
  constructor(
    @Inject(FactsService) private readonly facts: FactsService,
    @Inject(RunsService) private readonly runs: RunsService,
    @Inject(RunSheets) private readonly sheets: RunSheets,
    @Inject(ShopLogService) private readonly shop: ShopLogService,
  ) {}

  @Handles(routes.addFact)
  async add(
    @ByCaller() caller: Caller,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: unknown,
  ): Promise<void> {
    const fact = signedBy(caller, this.facts.checked(body));
    await this.runs.mustStand(id);
    if (fact.kind === 'handed over') await this.sign(id, fact);
    else await this.facts.add(id, fact);
  }

  private async sign(id: string, fact: FactOf<'handed over'>): Promise<void> {
    const { run, sheet, practice } = await this.sheets.sheetOf(id);
    // One which was taken before is only sent again.
    if (run.facts.some((kept) => kept.id === fact.id)) return;
    const { signers } = signedState(run.design, run.facts, practice);
    const against = signOffProblem(sheet, { ...fact, signers });
    if (against) throw problem(409, against);
    if (fact.design === undefined) return this.facts.add(id, fact);
    if (fact.design !== documentHash(run.design))
      throw problem(409, {
        code: 'handover.changed',
        message: 'The run is not what was signed: it was changed since.',
        where: 'design',
        remedy: 'Look at it as it stands now, and sign again.',
      });
    return this.facts.sign(id, fact, run.design);
  }

  @Handles(routes.readLog)
  async log(@Param('id', ParseUUIDPipe) id: string): Promise<KeptLog> {
    await this.runs.mustStand(id);
    return this.facts.log(id);
  }

  @Handles(routes.listRevisions)
  async revisions(@Param('id', ParseUUIDPipe) id: string): Promise<SignedDesign[]> {
    await this.runs.mustStand(id);
    return this.facts.revisions(id);
  }

  @Handles(routes.listEnds)
  ends(): Promise<LoggedEnd[]> {
    return this.facts.ends();
  }

  @Handles(routes.readShopLog)
  shopLog(): Promise<ShopLogDocument> {
    return this.shop.read();
  }

  @Handles(routes.listTrims)
  trims(): Promise<LoggedTrim[]> {
    return this.facts.trims();
  }
}
