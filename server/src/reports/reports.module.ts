import { Module } from '@nestjs/common';
import { RunsModule } from '../runs/runs.module.js';
import { ReportsController } from './reports.controller.js';
import { ReportsService } from './reports.service.js';

@Module({ imports: [RunsModule], controllers: [ReportsController], providers: [ReportsService] })
export class ReportsModule {}
