import { decimalMarkOf, isObject, shopKinds, type Problem, type ShopEntry } from '@kobran/core';
import Papa from 'papaparse';
import { csvOf, FORMULA } from './csv.js';
import { fromRow, toRow } from './catalogRows.js';
import { readShopEntry } from './readShopEntry.js';

/** The open files of the catalogue: JSON and CSV. */

export const CATALOG_SCHEMA = 'kobran-catalog/1';
/** More entries than any shop has. */
export const MAX_ENTRIES = 5000;

/** The catalogue as one JSON file. */
export const catalogToJson = (entries: readonly ShopEntry[]): string =>
  `${JSON.stringify({ schema: CATALOG_SCHEMA, entries }, null, 1)}\n`;

const unmarked = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;

/** The catalogue as one CSV file: a column `kind`, and the columns of all kinds. */
export function catalogToCsv(entries: readonly ShopEntry[]): string {
  const rows = entries.map(toRow);
  const names = [...new Set(['kind', ...rows.flatMap((row) => Object.keys(row))])];
  // The mark of text which looks like a formula is taken off on reading.
  return csvOf(
    names,
    rows.map((row) => names.map((name) => row[name] ?? '')),
  );
}

export interface CatalogFile {
  entries: ShopEntry[];
  /** What could not be read, with its place; the readable entries stand beside. */
  problems: Problem[];
}

const whole = (code: string, message: string, where: string, remedy: string): CatalogFile => ({
  entries: [],
  problems: [{ code, message, where, remedy }],
});

/** Reads a catalogue file, JSON or CSV by its first character; problems name the entry or the row. */
export function readCatalogFile(text: string): CatalogFile {
  const trimmed = text.replace(/^\uFEFF/, '').trimStart();
  if (trimmed === '')
    return whole('catalog.empty', 'The file is empty.', 'file', 'Choose a catalogue exported from Kobran.');
  return trimmed.startsWith('{') ? readJson(trimmed) : readCsv(trimmed);
}

function readJson(text: string): CatalogFile {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const place = /position \d+/.exec(String(error))?.[0] ?? 'file';
    return whole(
      'catalog.not-json',
      'The file is not valid JSON.',
      place,
      'Check brackets, quotes and commas there.',
    );
  }
  if (!isObject(value) || value.schema !== CATALOG_SCHEMA || !Array.isArray(value.entries))
    return whole(
      'catalog.schema',
      'The file is not a catalogue of Kobran.',
      'schema',
      `It must say "schema": "${CATALOG_SCHEMA}" and have a list "entries".`,
    );
  const list: unknown[] = value.entries;
  return gathered(
    list.map((item, k): [unknown, unknown, string] =>
      isObject(item) ? [item.kind, item.data, `entries[${k}]`] : [undefined, undefined, `entries[${k}]`],
    ),
  );
}

function readCsv(text: string): CatalogFile {
  const { data, meta } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transform: unmarked,
  });
  if (!meta.fields?.includes('kind'))
    return whole(
      'catalog.columns',
      'The first line has no column “kind”.',
      'line 1',
      `Name the columns in the first line; kind is one of ${shopKinds.join(', ')}.`,
    );
  const problems: Problem[] = [];
  // Who wrote 0,85 in one cell means one and a half by 1,500 in another.
  const mark = decimalMarkOf(data.flatMap((row) => Object.values(row)));
  const read = data.map((row, k): [unknown, unknown, string] => {
    const { value, problem } = fromRow(row, `line ${k + 2}`, mark);
    if (problem) problems.push(problem);
    return [row.kind.trim(), problem ? undefined : value, `line ${k + 2}`];
  });
  const file = gathered(read.filter(([, value]) => value !== undefined));
  return { entries: file.entries, problems: [...problems, ...file.problems] };
}

function gathered(items: [kind: unknown, data: unknown, where: string][]): CatalogFile {
  if (items.length > MAX_ENTRIES)
    return whole(
      'catalog.too-many',
      `A catalogue may have ${MAX_ENTRIES} entries; this one has ${items.length}.`,
      'entries',
      'Split the file.',
    );
  const file: CatalogFile = { entries: [], problems: [] };
  for (const [kind, data, where] of items) {
    const read = readShopEntry(kind, data, where);
    if (read.ok) file.entries.push(read.entry);
    else file.problems.push(...read.problems);
  }
  return file;
}
