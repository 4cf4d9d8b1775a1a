import { pg_trgm } from '@electric-sql/pglite/contrib/pg_trgm';

/** What the embedded engine is opened with: the tables cannot be read without. A PostgreSQL server has it of its own. */
export const extensions = { pg_trgm };
