import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { join } from 'node:path';
import { forgetArriving } from './arriving.js';
import { GroupedSync } from './groupedSync.js';
import { lockFolder } from './folderLock.js';
import { preparedImage } from './image.js';
import { packTraces } from './packTraces.js';
import { Changes, CHANGES_CHANNEL } from './changes.js';
import { chainOlder } from './chainOlder.js';
import * as schema from './schema.js';
import type { Database, OpenDatabase } from './drivers.js';
import { migrationsFolder } from './migrations.js';
import { SHOP_CHANNEL, ShopChanges } from './shopChanges.js';
import { openSynced } from './syncedFolder.js';

export type { Database, OpenDatabase };

/** Where the data lives: a folder for the embedded database, or the address of a PostgreSQL server. */
export type DatabasePlace = { folder: string } | { url: string };

/** Opens the database and brings its tables up to date. */
export const openDatabase = (place: DatabasePlace): Promise<OpenDatabase> =>
  'url' in place ? onServer(place.url) : openFolder(place.folder);

/** The driver of a server is read only where there is one. */
const onServer = async (url: string): Promise<OpenDatabase> =>
  (await import('./databaseServer.js')).openServer(url);

/** Writes a record into the WAL and brings all of it to the disk: commits before it are there then too. */
const FLUSH_WAL = "select pg_logical_emit_message(false, 'kobran', '', true)";

async function openFolder(folder: string): Promise<OpenDatabase> {
  const lock = lockFolder(folder);
  try {
    const client = await openSynced(join(folder, 'database'), await preparedImage());
    const db = drizzle(client, { schema });
    await migrate(db, { migrationsFolder });
    await packTraces(db);
    await chainOlder(db);
    await forgetArriving(db);
    const shopChanges = new ShopChanges();
    const changes = new Changes();
    await client.listen(SHOP_CHANNEL, () => {
      shopChanges.tell();
      changes.tell('shop');
    });
    await client.listen(CHANGES_CHANNEL, (change) => changes.tell(change));
    const sync = new GroupedSync(async () => {
      await client.query(FLUSH_WAL);
    });
    await sync.reached();
    return {
      db,
      shopChanges,
      changes,
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
