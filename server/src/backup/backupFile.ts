import { isObject } from '@kobran/core';
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import type { Line } from './rows.js';

/**
 * A backup as a file: gzip of lines of JSON. The first says what it is, then each row of each table, and the last how many there are and
 * their SHA-256, so that a file which was cut off or changed is told from a whole one.
 */
export const BACKUP_SCHEMA = 'kobran-backup/1';

export interface BackupHead {
  schema: typeof BACKUP_SCHEMA;
  madeAt: string;
  /** How many migrations its tables have seen. */
  migrations: number;
}

/** A file that cannot be used as a backup, in words. */
export class UnusableBackup extends Error {}

/** What a whole file says of itself. */
export interface ReadBackup extends BackupHead {
  rows: number;
  sha256: string;
}

/** Writes a backup; it stands under its name only when all of it is on the disk. */
export async function writeBackup(
  file: string,
  head: BackupHead,
  lines: AsyncIterable<Line>,
): Promise<ReadBackup> {
  const hash = createHash('sha256');
  let rows = 0;
  async function* text(): AsyncIterable<string> {
    yield `${JSON.stringify(head)}\n`;
    for await (const { table, row } of lines) {
      const line = `{"table":${JSON.stringify(table)},"row":${row}}\n`;
      hash.update(line);
      rows++;
      yield line;
    }
  }
  const part = `${file}.part`;
  let end = { rows: 0, sha256: '' };
  async function* whole(): AsyncIterable<string> {
    yield* text();
    end = { rows, sha256: hash.digest('hex') };
    yield `${JSON.stringify(end)}\n`;
  }
  try {
    await pipeline(
      Readable.from(whole()),
      createGzip({ level: 4 }),
      createWriteStream(part, { mode: 0o600 }),
    );
    const handle = await open(part, 'r');
    await handle.sync();
    await handle.close();
    await rename(part, file);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  return { ...head, ...end };
}

/**
 * Reads a backup row by row; only who has come to its end knows that it is whole.
 *
 * @throws {UnusableBackup} when it is none, is cut off, or was changed
 */
export async function* readBackup(file: string, said?: (read: ReadBackup) => void): AsyncIterable<Line> {
  const unzipped = createGunzip();
  const source = createReadStream(file);
  source.on('error', (error) => unzipped.destroy(error));
  const hash = createHash('sha256');
  let head: BackupHead | undefined;
  let rows = 0;
  let end: { rows: number; sha256: string } | undefined;
  try {
    for await (const text of createInterface({ input: source.pipe(unzipped), crlfDelay: Infinity })) {
      if (end) throw new UnusableBackup('There is something behind the end of the backup.');
      const match = head && LINE.exec(text);
      if (match) {
        hash.update(`${text}\n`);
        rows++;
        yield { table: match[1], row: match[2] };
      } else if (head) end = endOf(text);
      else head = headOf(text);
    }
  } catch (error) {
    throw isFault(error)
      ? error
      : new UnusableBackup('The file is no backup of Kobran, or it is cut off.', { cause: error });
  }
  if (!head || end?.rows !== rows || end.sha256 !== hash.digest('hex'))
    throw new UnusableBackup('The backup is cut off or was changed: its end does not fit.');
  said?.({ ...head, ...end });
}

/** What is said in its own words already, or is the matter of the disk and not of the file. */
const isFault = (error: unknown): boolean =>
  error instanceof UnusableBackup ||
  ['ENOENT', 'EACCES'].includes((error as NodeJS.ErrnoException).code ?? '');

const LINE = /^\{"table":"(\w+)","row":(.*)\}$/;

function parsed(text: string): Record<string, unknown> {
  try {
    const value = JSON.parse(text) as unknown;
    if (isObject(value)) return value;
  } catch {
    // Said below, in words of its own.
  }
  throw new UnusableBackup('The file is no backup of Kobran.');
}

function headOf(text: string): BackupHead {
  const { schema, madeAt, migrations } = parsed(text);
  if (schema !== BACKUP_SCHEMA || typeof madeAt !== 'string' || typeof migrations !== 'number')
    throw new UnusableBackup('The file is no backup of Kobran, or of a newer one.');
  return { schema, madeAt, migrations };
}

function endOf(text: string): { rows: number; sha256: string } {
  const { rows, sha256 } = parsed(text);
  if (typeof rows !== 'number' || typeof sha256 !== 'string')
    throw new UnusableBackup('A line of the backup is damaged.');
  return { rows, sha256 };
}
