import { fileURLToPath } from 'node:url';

/** The steps by which tables came to be what they are. */
export const migrationsFolder = fileURLToPath(new URL('../../drizzle', import.meta.url));
