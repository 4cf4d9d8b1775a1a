import { routes, type BackupSummary, type RestoredBackup } from '@kobran/contract';
import { Controller, Inject, Param, Req, StreamableFile } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { createReadStream } from 'node:fs';
import { ByCaller, type Caller } from '../crew/caller.js';
import { CrewLogService } from '../crew/crewLog.service.js';
import { atMost } from '../gate/atMost.js';
import { Handles, HandlesFile } from '../handles.js';
import { BackupsService } from './backups.service.js';

/** Larger than any shop of years; what is sent lies on the disk, not in memory. */
const MAX_BACKUP = 4 * 1024 ** 3;

@ApiTags('backups')
@Controller()
export class BackupsController {
  constructor(
    @Inject(BackupsService) private readonly backups: BackupsService,
    @Inject(CrewLogService) private readonly log: CrewLogService,
  ) {}

  @Handles(routes.listBackups)
  list(): Promise<BackupSummary[]> {
    return this.backups.list();
  }

  @Handles(routes.makeBackup)
  async make(@ByCaller() caller: Caller): Promise<BackupSummary> {
    const made = await this.backups.make();
    await this.log.tell('backup made', caller, made.name);
    return made;
  }

  @HandlesFile(routes.readBackup)
  @ApiProduces('application/gzip')
  async read(@ByCaller() caller: Caller, @Param('name') name: string): Promise<StreamableFile> {
    const file = await this.backups.fileOf(name);
    await this.log.tell('backup taken', caller, name);
    return new StreamableFile(createReadStream(file), {
      type: 'application/gzip',
      disposition: `attachment; filename="${name}"`,
    });
  }

  @Handles(routes.restoreSentBackup)
  async restoreSent(@ByCaller() caller: Caller, @Req() request: Request): Promise<RestoredBackup> {
    const restored = await this.backups.restoreSent(atMost(request, MAX_BACKUP));
    await this.log.tell('backup restored', caller, `of ${restored.madeAt}`);
    return restored;
  }

  @Handles(routes.restoreBackup)
  async restore(@ByCaller() caller: Caller, @Param('name') name: string): Promise<RestoredBackup> {
    const restored = await this.backups.restoreKept(name);
    await this.log.tell('backup restored', caller, name);
    return restored;
  }
}
