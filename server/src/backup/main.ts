import 'reflect-metadata';
import { existsSync } from 'node:fs';
import { copyFile, mkdtemp, rename, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { BackupSummary, RebuiltBoard } from '@kobran/contract';
import { readConfig, type Config } from '../config.js';
import { openDatabase } from '../database/database.js';
import { isHeld } from '../database/folderLock.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { background } from '../work/background.js';
import { readBackup } from './backupFile.js';
import { Backups } from './backups.js';
import { replaceAll } from './rows.js';

/** `backup FILE`, `restore FILE` and `rebuild`, with Kobran running or not. */

const say = (text: string): void => void process.stdout.write(`${text}\n`);

/** A Kobran that runs makes the backup itself; its folder is open to nobody else. */
async function fromRunning(port: number, file: string): Promise<void> {
  const address = `http://localhost:${port}/api/backups`;
  const made = await fetch(address, { method: 'POST' }).catch(() => {
    throw new Error(
      `Kobran runs on this data folder and does not answer at port ${port}: set PORT to its own.`,
    );
  });
  if (!made.ok) throw new Error(`Kobran at port ${port} made no backup: ${await made.text()}`);
  const { name } = (await made.json()) as BackupSummary;
  const read = await fetch(`${address}/${name}`);
  if (!read.ok) throw new Error(`Kobran at port ${port} gave no backup: ${await read.text()}`);
  await writeFile(file, Buffer.from(await read.arrayBuffer()), { mode: 0o600 });
}

const folderOf = ({ database }: Config): string | undefined =>
  'folder' in database ? database.folder : undefined;

async function backup(config: Config, file: string): Promise<void> {
  const folder = folderOf(config);
  if (folder !== undefined && isHeld(folder)) await fromRunning(config.port, file);
  else {
    if (folder !== undefined && !existsSync(join(folder, 'database')))
      throw new Error(
        `There is nothing to back up: ${folder} holds no data. KOBRAN_DATA names another folder.`,
      );
    const open = await openDatabase(config.database);
    const scratch = await mkdtemp(join(tmpdir(), 'kobran-backup-'));
    const threads = background('backup/scratch.worker.js');
    try {
      const { name } = await new Backups(scratch, threads).make(open.db, 'by-hand');
      // What stood under this name stays until the new one is whole.
      await copyFile(join(scratch, name), `${file}.part`);
      await rename(`${file}.part`, file);
    } finally {
      await threads.destroy();
      await open.close();
      await rm(scratch, { recursive: true, force: true });
    }
  }
  say(`Everything is in ${file}; it was restored once to see that it can be.`);
}

async function restore(config: Config, file: string): Promise<void> {
  const folder = folderOf(config);
  if (folder !== undefined && isHeld(folder))
    throw new Error(
      'Kobran is running on this data folder. Restore in its page (Backups), or stop it first.',
    );
  const threads = background('backup/scratch.worker.js');
  const backups = new Backups(config.backupFolder, threads);
  const data = folder === undefined ? undefined : join(folder, 'database');
  const aside = `${data}.before-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  try {
    // A file that cannot be restored is refused before anything is moved.
    await backups.proved(file, async (ready, { rows, madeAt }) => {
      if (data !== undefined && existsSync(data)) {
        await rename(data, aside);
        say(`What stood there is kept in ${aside}.`);
      }
      const open = await openDatabase(config.database);
      try {
        // On a database server nothing can be moved aside.
        if (folder === undefined) await backups.make(open.db, 'before-restore');
        await replaceAll(open.db, readBackup(ready));
        await open.durable();
      } finally {
        await open.close();
      }
      say(`Restored: ${rows} entries, as they were at ${madeAt}.`);
    });
  } finally {
    await threads.destroy();
  }
}

/** Works out again what lists say of every run: after somebody changed the database by hand, or does not believe a list. */
async function rebuild(config: Config): Promise<void> {
  const folder = folderOf(config);
  if (folder !== undefined && isHeld(folder)) {
    const answer = await fetch(`http://localhost:${config.port}/api/board/rebuild`, { method: 'POST' });
    if (!answer.ok) throw new Error(`Kobran at port ${config.port} did not: ${await answer.text()}`);
    const { runs } = (await answer.json()) as RebuiltBoard;
    return say(`What lists say is being worked out again, of ${runs} runs; Kobran goes on meanwhile.`);
  }
  const { createApp } = await import('../app.js');
  const { app, stop } = await createApp({ ...config, demo: false });
  try {
    say(`What lists say was worked out again, of ${await app.get(SummariesService).rebuild()} runs.`);
  } finally {
    await stop();
  }
}

async function main([what, file]: string[]): Promise<void> {
  process.umask(0o077);
  const config = readConfig(process.env);
  if (what === 'rebuild') return rebuild(config);
  const act = { backup, restore }[what];
  if (!act || !file) throw new Error('Say backup FILE, restore FILE or rebuild.');
  await act(config, resolve(file));
}

main(process.argv.slice(2)).catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(2);
});
