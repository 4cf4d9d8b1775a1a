import { Module } from '@nestjs/common';
import { JobsModule } from '../jobs/jobs.module.js';
import { RunsModule } from '../runs/runs.module.js';
import { PicturesModule } from '../pictures/pictures.module.js';
import { SummariesModule } from '../summaries/summaries.module.js';
import { TracesModule } from '../traces/traces.module.js';
import { HandoverController } from './handover.controller.js';
import { HandoverService } from './handover.service.js';
import { ReportsController } from './reports.controller.js';
import { ReportsService } from './reports.service.js';

@Module({
  imports: [RunsModule, JobsModule, TracesModule, PicturesModule, SummariesModule],
  controllers: [ReportsController, HandoverController],
  providers: [ReportsService, HandoverService],
})
export class ReportsModule {}
