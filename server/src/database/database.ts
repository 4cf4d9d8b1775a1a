import { PGlite } from '@electric-sql/pglite';
import { drizzle as drizzleNode } from 'drizzle-orm/node-postgres';
import { migrate as migrateNode } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { lockFolder } from './folderLock.js';
import { preparedImage } from './image.js';
import * as schema from './schema.js';

/** One type for both drivers. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDatabase {
  db: Database;
  close(): Promise<void>;
}

/** Where the data lives: a folder for the embedded database, or the address of a PostgreSQL server. */
export type DatabasePlace = { folder: string } | { url: string };

const migrationsFolder = fileURLToPath(new URL('../../drizzle', import.meta.url));

/** Opens the database and brings its tables up to date. */
export const openDatabase = (place: DatabasePlace): Promise<OpenDatabase> =>
  'url' in place ? openServer(place.url) : openFolder(place.folder);

async function openFolder(folder: string): Promise<OpenDatabase> {
  const lock = lockFolder(folder);
  try {
    const dataDir = join(folder, 'database');
    const image = existsSync(dataDir) ? undefined : await preparedImage();
    const client = await PGlite.create({ dataDir, ...(image ? { loadDataDir: image } : {}) });
    const db = drizzlePglite(client, { schema });
    await migratePglite(db, { migrationsFolder });
    return {
      db,
      close: async () => {
        await client.close();
        lock.release();
      },
    };
  } catch (error) {
    lock.release();
    throw error;
  }
}

async function openServer(url: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: url, max: 8 });
  const db = drizzleNode(pool, { schema });
  await migrateNode(db, { migrationsFolder });
  return { db, close: () => pool.end() };
}
