import { serverFolder } from '../folder.js';

/** The steps by which tables came to be what they are. */
export const migrationsFolder = `${serverFolder}drizzle`;
