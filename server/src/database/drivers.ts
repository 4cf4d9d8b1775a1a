import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import type * as schema from './schema.js';
import type { Changes } from './changes.js';
import type { ShopChanges } from './shopChanges.js';

/** One type for both drivers. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDatabase {
  db: Database;
  /** Resolves when everything committed so far outlives a power cut: only then is a write acknowledged. */
  durable: () => Promise<void>;
  shopChanges: ShopChanges;
  changes: Changes;
  close(): Promise<void>;
}
