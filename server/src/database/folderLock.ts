import { randomUUID } from 'node:crypto';
import {
  chmodSync,
  linkSync,
  mkdirSync,
  readFileSync,
  readlinkSync,
  renameSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';

/** Holds a data folder for one process; PGlite itself does not refuse a folder opened twice. */
export interface FolderLock {
  release(): void;
}

interface Holder {
  pid: number;
  /** When the process started, in clock ticks; tells a reused number from the same process. Empty where unknown. */
  started: string;
  /** Where numbers of processes mean the same: the machine, its start, and the container. */
  where: string;
  /** Of this lock alone. */
  token: string;
}

/** How often a holder shows that it is there, ms. */
const BEAT_MS = 5_000;
/** A holder elsewhere which has not been seen for so long is gone, ms; its clock may differ a little. */
const GONE_MS = 30_000;
/** A lock which says nothing and is older than this was cut off while it was written, ms. */
const WRITTEN_MS = 2_000;

const orEmpty = (read: () => string): string => {
  try {
    return read().trim();
  } catch {
    return ''; // A system without /proc: then the name of the machine alone says where.
  }
};

const here = [
  hostname(),
  orEmpty(() => readFileSync('/proc/sys/kernel/random/boot_id', 'utf8')),
  orEmpty(() => readlinkSync('/proc/self/ns/pid')),
].join(' ');

/** Start time of a process from the kernel, or an empty text where the system does not tell. */
const startOf = (pid: number): string =>
  orEmpty(() => readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ')[19] ?? '');

/** Does the process of this machine and container still live? */
function lives({ pid, started }: Holder): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
  const now = startOf(pid);
  return started === '' || now === '' || now === started;
}

const fileOf = (folder: string): string => join(folder, 'kobran.lock');

/** What stands in a lock, and whether somebody stands behind it; nothing when there is no lock. */
function look(file: string): { text: string; holder: Holder | undefined; isHeld: boolean } | undefined {
  let text: string;
  let ageMs: number;
  try {
    text = readFileSync(file, 'utf8');
    ageMs = Date.now() - statSync(file).mtimeMs;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
    throw error;
  }
  const holder = parsed(text);
  if (!holder) return { text, holder, isHeld: ageMs < WRITTEN_MS };
  // Processes of another machine or container cannot be asked: their lock has to be touched now and then.
  return { text, holder, isHeld: holder.where === here ? lives(holder) : ageMs < GONE_MS };
}

function parsed(text: string): Holder | undefined {
  try {
    const { pid, started, where, token } = JSON.parse(text) as Partial<Holder>;
    if (typeof pid !== 'number') return undefined;
    // A lock of an older Kobran says less, and was always of this machine.
    return { pid, started: started ?? '', where: where ?? here, token: token ?? '' };
  } catch {
    return undefined; // Cut off while it was written.
  }
}

/** Is the folder open in a process that lives? */
export const isHeld = (folder: string): boolean => look(fileOf(folder))?.isHeld ?? false;

/**
 * Takes the folder for this process; a lock left by a killed process is taken over.
 *
 * @throws when a living process holds it, with its number and what to do
 */
export function lockFolder(folder: string): FolderLock {
  mkdirSync(folder, { recursive: true });
  // A folder of before, too; where the system has no such modes this does nothing.
  chmodSync(folder, 0o700);
  const file = fileOf(folder);
  const me: Holder = { pid: process.pid, started: startOf(process.pid), where: here, token: randomUUID() };
  for (let attempt = 0; attempt < 3; attempt++) {
    if (taken(file, me)) return held(file, me);
    const found = look(file);
    if (found?.isHeld)
      throw new Error(
        found.holder === undefined || found.holder.where === here
          ? `The data folder ${folder} is open in process ${found.holder?.pid ?? 'of another Kobran that starts'}. Stop that Kobran first, or set KOBRAN_DATA to another folder.`
          : `The data folder ${folder} is open in process ${found.holder.pid} of another machine or container. Stop that Kobran first; if it was killed, wait ${GONE_MS / 1000} s. Or set KOBRAN_DATA to another folder.`,
      );
    if (found) takeAway(file, found.text, me.token);
  }
  throw new Error(`The data folder ${folder} is being opened by another process. Try again.`);
}

/** Puts the whole lock there at once, where there is none: who reads it never reads half. */
function taken(file: string, me: Holder): boolean {
  const own = `${file}.${me.token}`;
  // On the disk before it counts: a power cut would leave a lock that says nothing.
  writeFileSync(own, JSON.stringify(me), { flush: true });
  try {
    linkSync(own, file);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  } finally {
    rmSync(own, { force: true });
  }
}

/** Takes a dead lock away; one that somebody else has put there meanwhile is put back. */
function takeAway(file: string, dead: string, token: string): void {
  const aside = `${file}.${token}`;
  try {
    renameSync(file, aside);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return;
    throw error;
  }
  try {
    if (readFileSync(aside, 'utf8') !== dead) linkSync(aside, file);
  } finally {
    rmSync(aside, { force: true });
  }
}

/** Shows now and then that it is held. Whoever lost it, asleep for long, must not write any more. */
function held(file: string, me: Holder): FolderLock {
  const isMine = (): boolean => look(file)?.holder?.token === me.token;
  const clock = setInterval(() => {
    if (!isMine())
      throw new Error(
        `Another Kobran has taken ${file}: this one ends, so that neither destroys what the other writes.`,
      );
    const now = new Date();
    utimesSync(file, now, now);
  }, BEAT_MS).unref();
  return {
    release: () => {
      clearInterval(clock);
      if (isMine()) rmSync(file, { force: true });
    },
  };
}
