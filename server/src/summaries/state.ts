import type { Catalog } from '@kobran/core';
import { sql, type SQL } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { jobs, logs, runs } from '../database/schema.js';

/**
 * Of which state of things a summary is: the versions of run, job and place, the length of the log, and a mark of the shop’s entries and of
 * the program. A summary which was made of another state is not believed, whoever changed what it was made of.
 */
export const stateOf = (mark: string): SQL<string> =>
  sql<string>`concat_ws('/', ${runs.version}, coalesce(${logs.length}, 0), ${jobs.version}, ${jobs.placeVersion}, ${mark}::text)`;

/** The rules are in the program’s own file and in that of the core: other files may say other things of the same run. */
const program = ((): string => {
  const hash = createHash('sha256');
  for (const url of [import.meta.url, import.meta.resolve('@kobran/core')])
    hash.update(readFileSync(fileURLToPath(url)));
  return hash.digest('hex');
})();

const marks = new WeakMap<Catalog, string>();

/** A mark of everything which is the same for all runs. */
export function markOf(catalog: Catalog): string {
  const known = marks.get(catalog);
  if (known !== undefined) return known;
  const hash = createHash('sha256').update(program);
  for (const part of Object.values(catalog) as unknown[])
    hash.update(JSON.stringify(part instanceof Map ? [...part] : part) ?? '');
  const mark = hash.digest('hex').slice(0, 16);
  marks.set(catalog, mark);
  return mark;
}
