import { routes, type BackupSummary, type RestoredBackup } from '@kobran/contract';
import { Controller, Inject, Param, Req, StreamableFile } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { createReadStream } from 'node:fs';
import { atMost } from '../gate/atMost.js';
import { Handles, HandlesFile } from '../handles.js';
import { BackupsService } from './backups.service.js';

/** Larger than any shop of years; what is sent lies on the disk, not in memory. */
const MAX_BACKUP = 4 * 1024 ** 3;

@ApiTags('backups')
@Controller()
export class BackupsController {
  constructor(@Inject(BackupsService) private readonly backups: BackupsService) {}

  @Handles(routes.listBackups)
  list(): Promise<BackupSummary[]> {
    return this.backups.list();
  }

  @Handles(routes.makeBackup)
  make(): Promise<BackupSummary> {
    return this.backups.make();
  }

  @HandlesFile(routes.readBackup)
  @ApiProduces('application/gzip')
  async read(@Param('name') name: string): Promise<StreamableFile> {
    return new StreamableFile(createReadStream(await this.backups.fileOf(name)), {
      type: 'application/gzip',
      disposition: `attachment; filename="${name}"`,
    });
  }

  @Handles(routes.restoreSentBackup)
  restoreSent(@Req() request: Request): Promise<RestoredBackup> {
    return this.backups.restoreSent(atMost(request, MAX_BACKUP));
  }

  @Handles(routes.restoreBackup)
  restore(@Param('name') name: string): Promise<RestoredBackup> {
    return this.backups.restoreKept(name);
  }
}
