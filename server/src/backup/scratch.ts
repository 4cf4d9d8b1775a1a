import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from '../database/database.js';
import { extensions } from '../database/extensions.js';
import { preparedImage } from '../database/image.js';
import { migrationsFolder } from '../database/migrations.js';
import { packTraces } from '../database/packTraces.js';
import { chainOlder } from '../database/chainOlder.js';
import * as schema from '../database/schema.js';
import { readBackup, UnusableBackup, writeBackup, BACKUP_SCHEMA, type ReadBackup } from './backupFile.js';
import { allRows, replaceAll } from './rows.js';

interface Journal {
  entries: { idx: number }[];
}

const journalOf = async (folder: string): Promise<Journal> =>
  JSON.parse(await readFile(join(folder, 'meta/_journal.json'), 'utf8')) as Journal;

/** How many migrations this Kobran has. */
export const migrationCount = async (): Promise<number> => (await journalOf(migrationsFolder)).entries.length;

/** The migrations as an older Kobran had them. */
async function olderMigrations(count: number): Promise<string> {
  const folder = await mkdtemp(join(tmpdir(), 'kobran-migrations-'));
  await cp(migrationsFolder, folder, { recursive: true });
  const journal = await journalOf(folder);
  const entries = journal.entries.slice(0, count);
  await writeFile(join(folder, 'meta/_journal.json'), JSON.stringify({ ...journal, entries }));
  return folder;
}

/**
 * Restores a backup into a scratch database and writes what is there then as a backup of today's tables: what comes out is known to be
 * restorable. One of the same age must come out as it went in.
 *
 * @param out where to write it
 * @throws {UnusableBackup} when it cannot be restored
 */
export async function throughScratch(file: string, out: string): Promise<ReadBackup> {
  let said: ReadBackup | undefined;
  // Once through before anything is believed.
  for await (const _ of readBackup(file, (read) => (said = read)));
  if (!said) throw new UnusableBackup('The backup says nothing of itself.');
  const { migrations, madeAt, rows, sha256 } = said;
  const known = await migrationCount();
  if (migrations > known)
    throw new UnusableBackup(
      `The backup was made by a newer Kobran (${migrations} steps of its tables, this one knows ${known}). Install that one first.`,
    );
  const older = await olderMigrations(migrations);
  const image = await preparedImage();
  const client = await PGlite.create({ extensions, ...(image ? { loadDataDir: image } : {}) });
  try {
    const scratch = drizzle(client, { schema });
    const db: Database = scratch;
    await migrate(scratch, { migrationsFolder: older });
    await replaceAll(db, readBackup(file));
    await migrate(scratch, { migrationsFolder });
    await packTraces(db);
    await chainOlder(db);
    const again = await writeBackup(out, { schema: BACKUP_SCHEMA, madeAt, migrations: known }, allRows(db));
    if (migrations === known && (again.rows !== rows || again.sha256 !== sha256))
      throw new UnusableBackup('What was restored is not what the backup holds.');
    return again;
  } finally {
    await client.close();
    await rm(older, { recursive: true, force: true });
  }
}
