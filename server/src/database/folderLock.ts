import { chmodSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Holds a data folder for one process; PGlite itself does not refuse a folder opened twice. */
export interface FolderLock {
  release(): void;
}

interface Holder {
  pid: number;
  /** When the process started, in clock ticks; tells a reused number from the same process. Empty where unknown. */
  started: string;
}

/** Start time of a process from the kernel, or an empty text where the system does not tell. */
function startOf(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ')[19] ?? '';
  } catch {
    return ''; // No such process, or a system without /proc: the number alone decides.
  }
}

function lives({ pid, started }: Holder): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
  const now = startOf(pid);
  return started === '' || now === '' || now === started;
}

/**
 * Takes the folder for this process; a lock left by a killed process is taken over.
 *
 * @throws when a living process holds it, with its number and what to do
 */
export function lockFolder(folder: string): FolderLock {
  mkdirSync(folder, { recursive: true });
  // A folder of before, too; where the system has no such modes this does nothing.
  chmodSync(folder, 0o700);
  const file = join(folder, 'kobran.lock');
  const me: Holder = { pid: process.pid, started: startOf(process.pid) };
  for (let attempt = 0; attempt < 2; attempt++) {
    try {
      writeFileSync(file, JSON.stringify(me), { flag: 'wx' });
      return { release: () => rmSync(file, { force: true }) };
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
      const holder = readHolder(file);
      if (holder && lives(holder)) {
        throw new Error(
          `The data folder ${folder} is open in process ${holder.pid}. Stop that Kobran first, or set KOBRAN_DATA to another folder.`,
        );
      }
      rmSync(file, { force: true });
    }
  }
  throw new Error(`The data folder ${folder} is being opened by another process. Try again.`);
}

function readHolder(file: string): Holder | undefined {
  if (!existsSync(file)) return undefined;
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Holder;
  } catch {
    return undefined; // A half-written lock of a process killed while it wrote.
  }
}
