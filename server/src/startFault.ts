import type { Config } from './config.js';

/** What a code of the system or of PostgreSQL means for who starts Kobran. */
const faults: Record<string, (what: string, where: string, port: number) => string> = {
  EADDRINUSE: (_, __, port) =>
    `Port ${port} is taken, perhaps by a Kobran that runs already. Open http://localhost:${port}, or set PORT to another number.`,
  EACCES: (what) => notAllowed(what),
  EPERM: (what) => notAllowed(what),
  EROFS: (_, where) =>
    `The disk with ${where} is read-only. Make it writable, or set KOBRAN_DATA to a folder on another one.`,
  ENOSPC: (_, where) => full(where),
  '53100': (_, where) => full(where),
  ECONNREFUSED: (what) => databaseAway(what),
  ENOTFOUND: (what) => databaseAway(what),
  EAI_AGAIN: (what) => databaseAway(what),
  '57P03': (what) => databaseAway(what),
  '28P01': (what) => refused(what),
  '28000': (what) => refused(what),
  '3D000': (what) => `There is no such database (${what}). Make it, or correct DATABASE_URL.`,
};
const notAllowed = (what: string): string =>
  `${what}. The user who starts Kobran must be allowed to write there; or set KOBRAN_DATA to a folder of its own.`;
const full = (where: string): string =>
  `The disk with ${where} is full. Make room (100 MB or more) and start again; nothing was lost.`;
const databaseAway = (what: string): string =>
  `The database server does not answer (${what}). Start it, or correct DATABASE_URL.`;
const refused = (what: string): string =>
  `The database server refuses the user or the password of DATABASE_URL (${what}).`;

/** What an engine says which cannot read its files. */
const BROKEN = /damaged|RuntimeError|could not|corrupt|PANIC|Aborted/i;

/** Why Kobran cannot start, and what helps, for who has never seen its inside. */
export async function startFault(error: unknown, { port, database, backupFolder }: Config): Promise<string> {
  const where = 'folder' in database ? database.folder : 'the database of DATABASE_URL';
  for (let one = error; one instanceof Error; one = one.cause) {
    const { code = '' } = one as NodeJS.ErrnoException;
    if (code in faults) return faults[code](one.message || code, where, port);
  }
  const own = error instanceof Error ? error.message : String(error);
  if (!BROKEN.test(own)) return own;
  const { newestWhole } = await import('./backup/backups.js');
  const backup = await newestWhole(backupFolder);
  return [
    own.includes('damaged') ? own : `The database in ${where} does not open: ${own}. It is left as it is.`,
    backup
      ? `The newest backup is of ${backup.madeAt}. To put it back (what stands there is kept beside it): npx kobran restore ${backup.file}`
      : 'There is no backup of it here.',
  ].join('\n');
}
