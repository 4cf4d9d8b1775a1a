import type { BackupSummary, RestoredBackup } from '@kobran/contract';
import {
  Inject,
  Injectable,
  Logger,
  type OnApplicationBootstrap,
  type OnModuleDestroy,
} from '@nestjs/common';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { forgetArriving } from '../database/arriving.js';
import { jobs } from '../database/schema.js';
import { ShopChanges } from '../database/shopChanges.js';
import { notFound, problem } from '../errors/problem.js';
import { PLACES, type Places } from '../places.js';
import { background } from '../work/background.js';
import { readBackup, UnusableBackup } from './backupFile.js';
import { Backups } from './backups.js';
import { replaceAll } from './rows.js';

/** How often it is looked whether today's backup is there, ms. */
const LOOK_MS = 3600 * 1000;
/** After the start, so that nobody waits for it, ms. */
const FIRST_LOOK_MS = 60 * 1000;
const DAY_MS = 24 * 3600 * 1000;

/** Backups of everything: one a day by itself, and when somebody asks. */
@Injectable()
export class BackupsService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly logger = new Logger('Backups');
  private readonly threads = background('backup/scratch.worker.js');
  private readonly backups: Backups;
  private isStopping = false;
  private clock: NodeJS.Timeout | undefined;
  /** One after another: two at once would only share the disk. */
  private turn: Promise<unknown> = Promise.resolve();

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(ShopChanges) private readonly shopChanges: ShopChanges,
    @Inject(PLACES) places: Places,
  ) {
    this.backups = new Backups(places.backupFolder, this.threads);
  }

  onApplicationBootstrap(): void {
    const look = (): void => {
      this.daily().catch((error: unknown) => {
        // Kobran may be stopped in the middle of it; the next start makes up for it.
        if (!this.isStopping) this.logger.error(error, 'the daily backup failed');
      });
      this.clock = setTimeout(look, LOOK_MS).unref();
    };
    this.clock = setTimeout(look, FIRST_LOOK_MS).unref();
  }

  async onModuleDestroy(): Promise<void> {
    this.isStopping = true;
    clearTimeout(this.clock);
    await this.threads.destroy();
  }

  list(): Promise<BackupSummary[]> {
    return this.backups.list();
  }

  make(): Promise<BackupSummary> {
    return this.inTurn(() => this.backups.make(this.db, 'by-hand'));
  }

  /** Where a backup lies. */
  async fileOf(name: string): Promise<string> {
    const file = await this.backups.find(name);
    if (file === undefined) throw notFound('backup', name);
    return file;
  }

  /** Makes a backup of what stands, then puts one of those kept in its place. */
  async restoreKept(name: string): Promise<RestoredBackup> {
    return this.restore(await this.fileOf(name));
  }

  /** The same with a file which is sent. */
  async restoreSent(chunks: AsyncIterable<Uint8Array>): Promise<RestoredBackup> {
    const folder = await mkdtemp(join(tmpdir(), 'kobran-restore-'));
    try {
      const file = join(folder, 'sent');
      await pipeline(Readable.from(chunks), createWriteStream(file, { mode: 0o600 }));
      return await this.restore(file);
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  /** Today's, when there is none of the last day and there is anything to keep. */
  async daily(): Promise<void> {
    const [newest] = (await this.backups.list()).filter(({ reason }) => reason === 'daily');
    if (newest && Date.now() - Date.parse(newest.madeAt) < DAY_MS) return;
    const [any] = await this.db.select({ id: jobs.id }).from(jobs).limit(1);
    if (!any) return;
    await this.inTurn(() => this.backups.make(this.db, 'daily'));
    await this.backups.rotate();
  }

  private restore(file: string): Promise<RestoredBackup> {
    return this.inTurn(async () => {
      try {
        return await this.backups.proved(file, async (ready, { rows, madeAt }) => {
          const before = await this.backups.make(this.db, 'before-restore');
          await replaceAll(this.db, readBackup(ready));
          await forgetArriving(this.db);
          this.shopChanges.tell();
          return { rows, madeAt, before: before.name };
        });
      } catch (error) {
        if (!(error instanceof UnusableBackup)) throw error;
        throw problem(400, {
          code: 'backup.unusable',
          message: `${error.message} Nothing was changed.`,
          where: 'file',
          remedy: 'Choose another backup.',
        });
      }
    });
  }

  private inTurn<T>(act: () => Promise<T>): Promise<T> {
    const mine = this.turn.then(act);
    this.turn = mine.catch(() => undefined); // The next does not care how this one ended.
    return mine;
  }
}
