import { Module } from '@nestjs/common';
import { ChangesController } from './changes.controller.js';

@Module({ controllers: [ChangesController] })
export class ChangesModule {}
