import { readBench } from '@kobran/contract';
import type { ReadBench } from '@kobran/core';
import { readFileSync, statSync } from 'node:fs';
import { ScpiError } from './scpi/errors.js';

/**
 * The bench as a file, looked at each time an instrument measures; read again only when it has changed.
 *
 * @returns a function which throws `Data corrupt or stale` while there is nothing on the bench that can be measured
 */
export function benchFile(path: string): () => ReadBench {
  let known: { stamp: string; bench: ReadBench } | undefined;
  return () => {
    const stamp = stampOf(path);
    if (known?.stamp === stamp) return known.bench;
    const read = readBench(parsed(path));
    if (!read.ok) throw new ScpiError(-230, `${read.problems[0].where}: ${read.problems[0].message}`);
    known = { stamp, bench: read.bench };
    return read.bench;
  };
}

function stampOf(path: string): string {
  const stats = statSync(path, { throwIfNoEntry: false });
  if (!stats) throw new ScpiError(-230, 'nothing is on the bench');
  return `${stats.mtimeMs} ${stats.ino} ${stats.size}`;
}

function parsed(path: string): unknown {
  try {
    return JSON.parse(readFileSync(path, 'utf8')) as unknown;
  } catch (error) {
    throw new ScpiError(-230, error instanceof Error ? error.message : String(error));
  }
}
