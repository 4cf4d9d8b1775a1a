import { Module } from '@nestjs/common';
import { FactsController } from './facts.controller.js';
import { FactsService } from '../facts/facts.service.js';
import { ShopLogService } from '../facts/shopLog.service.js';
import { PracticeModule } from '../practice/practice.module.js';
import { ShopModule } from '../shop/shop.module.js';
import { SitesModule } from '../sites/sites.module.js';
import { RunsController } from './runs.controller.js';
import { RunSheets } from './runSheets.js';
import { RunsService } from './runs.service.js';

@Module({
  imports: [ShopModule, PracticeModule, SitesModule],
  controllers: [RunsController, FactsController],
  providers: [RunsService, RunSheets, FactsService, ShopLogService],
  exports: [RunsService, RunSheets, FactsService, ShopLogService],
})
export class RunsModule {}
