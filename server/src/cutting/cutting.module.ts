import { Module } from '@nestjs/common';
import { RunsModule } from '../runs/runs.module.js';
import { ShopModule } from '../shop/shop.module.js';
import { CuttingController } from './cutting.controller.js';
import { CuttingService } from './cutting.service.js';

@Module({
  imports: [RunsModule, ShopModule],
  controllers: [CuttingController],
  providers: [CuttingService],
})
export class CuttingModule {}
