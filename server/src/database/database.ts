import { drizzle as drizzleNode } from 'drizzle-orm/node-postgres';
import { migrate as migrateNode } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { GroupedSync } from './groupedSync.js';
import { lockFolder } from './folderLock.js';
import { preparedImage } from './image.js';
import * as schema from './schema.js';
import { openSynced } from './syncedFolder.js';

/** One type for both drivers. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDatabase {
  db: Database;
  /** Resolves when everything committed so far outlives a power cut: only then is a write acknowledged. */
  durable: () => Promise<void>;
  close(): Promise<void>;
}

/** Where the data lives: a folder for the embedded database, or the address of a PostgreSQL server. */
export type DatabasePlace = { folder: string } | { url: string };

const migrationsFolder = fileURLToPath(new URL('../../drizzle', import.meta.url));

/** Opens the database and brings its tables up to date. */
export const openDatabase = (place: DatabasePlace): Promise<OpenDatabase> =>
  'url' in place ? openServer(place.url) : openFolder(place.folder);

/** Writes a record into the WAL and brings all of it to the disk: commits before it are there then too. */
const FLUSH_WAL = "select pg_logical_emit_message(false, 'kobran', '', true)";

async function openFolder(folder: string): Promise<OpenDatabase> {
  const lock = lockFolder(folder);
  try {
    const client = await openSynced(join(folder, 'database'), await preparedImage());
    const db = drizzlePglite(client, { schema });
    await migratePglite(db, { migrationsFolder });
    const sync = new GroupedSync(async () => {
      await client.query(FLUSH_WAL);
    });
    await sync.reached();
    return {
      db,
      durable: () => sync.reached(),
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
  // A connection at rest which the database ended, as when it is started again: the pool makes another when one is needed.
  pool.on('error', () => undefined);
  const db = drizzleNode(pool, { schema });
  await alone(pool, () => migrateNode(db, { migrationsFolder }));
  // The server’s own settings decide when a commit is on its disk.
  return { db, durable: () => Promise.resolve(), close: () => pool.end() };
}

/** Any number, the same for every Kobran: who holds the database's lock of this number brings its tables up to date. */
const MIGRATION_LOCK = 4_780_001;

/** Servers which start together on one database wait for each other here. */
async function alone(pool: pg.Pool, act: () => Promise<void>): Promise<void> {
  const holder = await pool.connect();
  try {
    await holder.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await act();
  } finally {
    // The lock goes with its connection, even where it cannot be given back.
    holder.release(true);
  }
}
