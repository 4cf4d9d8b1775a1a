import { lt, sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { forgetArriving } from './arriving.js';
import { migrationsFolder } from './migrations.js';
import type { OpenDatabase } from './drivers.js';
import { packTraces } from './packTraces.js';
import { Changes } from './changes.js';
import { chainOlder } from './chainOlder.js';
import * as schema from './schema.js';
import { ServerListener } from './serverListener.js';
import { ShopChanges } from './shopChanges.js';

/** Opens a database on a PostgreSQL server and brings its tables up to date. */
export async function openServer(url: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: url, max: 8 });
  // A connection at rest which the database ended, as when it is started again: the pool makes another when one is needed.
  pool.on('error', () => undefined);
  const db = drizzle(pool, { schema });
  await alone(pool, async () => {
    await migrate(db, { migrationsFolder });
    await packTraces(db);
    await chainOlder(db);
    // Another server may be importing just now.
    await forgetArriving(db, lt(schema.jobs.createdAt, sql`now() - interval '1 hour'`));
  });
  const shopChanges = new ShopChanges();
  const changes = new Changes();
  const listener = new ServerListener(url, shopChanges, changes);
  await listener.start();
  return {
    db,
    shopChanges,
    changes,
    // The server’s own settings decide when a commit is on its disk.
    durable: () => Promise.resolve(),
    close: async () => {
      await listener.close();
      await pool.end();
    },
  };
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
