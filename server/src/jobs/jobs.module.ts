import { Module } from '@nestjs/common';
import { PicturesModule } from '../pictures/pictures.module.js';
import { PracticeModule } from '../practice/practice.module.js';
import { RunsModule } from '../runs/runs.module.js';
import { ShopModule } from '../shop/shop.module.js';
import { TracesModule } from '../traces/traces.module.js';
import { JobFileController } from './jobFile.controller.js';
import { JobFileService } from './jobFile.service.js';
import { JobsController } from './jobs.controller.js';
import { JobsService } from './jobs.service.js';

@Module({
  imports: [RunsModule, PicturesModule, PracticeModule, ShopModule, TracesModule],
  controllers: [JobFileController, JobsController],
  providers: [JobsService, JobFileService],
  exports: [JobsService, JobFileService],
})
export class JobsModule {}
