import { Module } from '@nestjs/common';
import { RunsModule } from '../runs/runs.module.js';
import { ProgressController } from './progress.controller.js';
import { ProgressService } from './progress.service.js';

@Module({ imports: [RunsModule], controllers: [ProgressController], providers: [ProgressService] })
export class ProgressModule {}
