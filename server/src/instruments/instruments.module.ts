import { Module } from '@nestjs/common';
import { RunsModule } from '../runs/runs.module.js';
import { ShopModule } from '../shop/shop.module.js';
import { BenchController } from './bench.controller.js';
import { BenchService } from './bench.service.js';
import { InstrumentsController } from './instruments.controller.js';
import { InstrumentRegistry } from './registry.js';
import { SimulatedBench } from './simulatedBench.js';

@Module({
  imports: [RunsModule, ShopModule],
  controllers: [InstrumentsController, BenchController],
  providers: [SimulatedBench, InstrumentRegistry, BenchService],
})
export class InstrumentsModule {}
