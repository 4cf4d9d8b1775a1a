import type { BackupSummary } from '@kobran/contract';
import { mkdir, mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Piscina } from 'piscina';
import type { Database } from '../database/database.js';
import { problem } from '../errors/problem.js';
import { freeBytes, LEAST_ROOM } from '../gate/roomOnDisk.js';
import { now } from '../store/moment.js';
import { BACKUP_SCHEMA, readBackup, UnusableBackup, writeBackup, type ReadBackup } from './backupFile.js';
import { allRows } from './rows.js';
import { migrationCount } from './scratch.js';

/** What the check by a scratch restore found. */
export type Checked = { ok: true; read: ReadBackup } | { ok: false; why: string };

/** Why a backup was made; it is part of its name. */
export type BackupReason = BackupSummary['reason'];

const NAME = /^kobran-(daily|by-hand|before-restore)-(\d{8})-(\d{6})(\d{3})\.kobran-backup$/;

/** Kept of the daily ones: each of so many days, and one of each of so many weeks. */
const DAYS = 7;
const WEEKS = 8;
const DAY_MS = 24 * 3600 * 1000;

/** The backups in a folder. */
export class Backups {
  constructor(
    private readonly folder: string,
    private readonly threads: Piscina,
  ) {}

  /** The newest first. */
  async list(): Promise<BackupSummary[]> {
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    const names = (await readdir(this.folder)).filter((name) => NAME.test(name));
    const all = await Promise.all(
      names.map(async (name) => ({ ...described(name), bytes: (await stat(join(this.folder, name))).size })),
    );
    return all.toSorted((x, y) => y.madeAt.localeCompare(x.madeAt));
  }

  /** Where a backup of this name is; nothing when there is none. */
  async find(name: string): Promise<string | undefined> {
    return (await this.list()).some((one) => one.name === name) ? join(this.folder, name) : undefined;
  }

  /**
   * Makes a backup of what stands, while everything goes on, and restores it into a scratch database before it counts as one.
   *
   * @throws {UnusableBackup} when it could not be restored: it is not kept
   */
  async make(db: Database, reason: BackupReason): Promise<BackupSummary> {
    await this.mustHaveRoom();
    const madeAt = now();
    const name = `kobran-${reason}-${madeAt.replace(/[-:.]/g, '').replace('T', '-').replace('Z', '')}.kobran-backup`;
    const file = join(this.folder, name);
    const unchecked = `${file}.unchecked`;
    await writeBackup(
      unchecked,
      { schema: BACKUP_SCHEMA, madeAt, migrations: await migrationCount() },
      allRows(db),
    );
    try {
      // What comes out of the scratch database is the same, and known to be restorable.
      const checked = await this.check(unchecked, file);
      if (!checked.ok)
        throw new UnusableBackup(`The backup was made and could not be restored: ${checked.why}`);
    } finally {
      await rm(unchecked, { force: true });
    }
    return { ...described(name), bytes: (await stat(file)).size };
  }

  /**
   * Restores a file into a scratch database, and lets `use` have what came out: a file of today's tables, known to be restorable.
   *
   * @throws {UnusableBackup} with the reason
   */
  async proved<T>(file: string, use: (ready: string, read: ReadBackup) => Promise<T>): Promise<T> {
    const folder = await mkdtemp(join(tmpdir(), 'kobran-restore-'));
    try {
      const ready = join(folder, 'ready');
      const checked = await this.check(file, ready);
      if (!checked.ok) throw new UnusableBackup(checked.why);
      return await use(ready, checked.read);
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  /** A backup is written twice, before and after its check, and must not take the room which the data need. */
  private async mustHaveRoom(): Promise<void> {
    const [newest] = await this.list();
    const needed = LEAST_ROOM + 3 * (newest?.bytes ?? 0);
    const free = await freeBytes(this.folder);
    if (free >= needed) return;
    throw problem(507, {
      code: 'disk.full',
      message: `The disk has ${megabytes(free)} MB left, and a backup wants ${megabytes(needed)} MB; none was made.`,
      where: 'disk',
      remedy: 'Make room, or take older backups elsewhere.',
    });
  }

  /** Takes away daily ones which others stand for; those made by hand and before a restore stay. */
  async rotate(): Promise<void> {
    const daily = (await this.list()).filter(({ reason }) => reason === 'daily');
    const kept = new Set<string>();
    for (const [spanMs, count] of [
      [DAY_MS, DAYS],
      [7 * DAY_MS, WEEKS],
    ]) {
      const spans = new Map<number, string>();
      for (const { name, madeAt } of daily) spans.set(Math.floor(Date.parse(madeAt) / spanMs), name);
      for (const name of [...spans.values()].slice(0, count)) kept.add(name);
    }
    for (const { name } of daily) if (!kept.has(name)) await rm(join(this.folder, name));
  }

  private check(file: string, out: string): Promise<Checked> {
    return this.threads.run({ file, out }) as Promise<Checked>;
  }
}

const megabytes = (bytes: number): number => Math.floor(bytes / 1024 / 1024);

function described(name: string): Pick<BackupSummary, 'name' | 'reason' | 'madeAt'> {
  const [, reason, day = '', time = '', ms = ''] = NAME.exec(name) ?? [];
  const parts = (text: string, ...lengths: number[]): string[] => {
    let at = 0;
    return lengths.map((length) => text.slice(at, (at += length)));
  };
  return {
    name,
    reason: reason as BackupReason,
    madeAt: `${parts(day, 4, 2, 2).join('-')}T${parts(time, 2, 2, 2).join(':')}.${ms}Z`,
  };
}

/** The newest backup of a folder which is whole; for who finds that the data are not. */
export async function newestWhole(folder: string): Promise<{ file: string; madeAt: string } | undefined> {
  const names = await readdir(folder).catch(() => []);
  const all = names
    .filter((name) => NAME.test(name))
    .map(described)
    .toSorted((x, y) => y.madeAt.localeCompare(x.madeAt));
  for (const { name, madeAt } of all) {
    const file = join(folder, name);
    try {
      for await (const _ of readBackup(file));
      return { file, madeAt };
    } catch (error) {
      if (!(error instanceof UnusableBackup)) throw error; // The next older one is looked at.
    }
  }
  return undefined;
}
