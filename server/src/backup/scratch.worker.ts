import { UnusableBackup } from './backupFile.js';
import { throughScratch } from './scratch.js';
import type { Checked } from './backups.js';

/** Restores a backup into a scratch database, in a thread of its own. */
export default async function check({ file, out }: { file: string; out: string }): Promise<Checked> {
  try {
    return { ok: true, read: await throughScratch(file, out) };
  } catch (error) {
    if (error instanceof UnusableBackup) return { ok: false, why: error.message };
    // What the database itself says against a row of it.
    return {
      ok: false,
      why: `It cannot be restored: ${error instanceof Error ? error.message : String(error)}`,
    };
  }
}
