import { Module } from '@nestjs/common';
import { RunsModule } from '../runs/runs.module.js';
import { ShopModule } from '../shop/shop.module.js';
import { BoardController } from './board.controller.js';
import { BoardService } from './board.service.js';
import { SummariesService } from './summaries.service.js';

@Module({
  imports: [RunsModule, ShopModule],
  controllers: [BoardController],
  providers: [BoardService, SummariesService],
  exports: [BoardService, SummariesService],
})
export class SummariesModule {}
