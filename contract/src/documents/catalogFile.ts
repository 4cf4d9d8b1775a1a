import {
  decimalMarkOf,
  isObject,
  parsePlainNumber,
  settledMarks,
  shopKinds,
  type DecimalMark,
  type PinBore,
  type Problem,
  type ShopEntry,
  type ShopKind,
} from '@kobran/core';
import Papa from 'papaparse';
import { csvOf, FORMULA, type Cell } from './csv.js';
import { readShopEntry } from './readShopEntry.js';

/** The open files of the catalogue: JSON and CSV. */

export const CATALOG_SCHEMA = 'kobran-catalog/1';
/** More entries than any shop has. */
export const MAX_ENTRIES = 5000;

/** Columns of each kind in the CSV file, and what stands in them. A part's pins and an adapter's faces are spread over columns. */
const columns = {
  cable: {
    text: [
      'id',
      'name',
      'centre',
      'centreKind',
      'dielectric',
      'shield',
      'shieldKind',
      'jacket',
      'directBurial',
      'wetDuct',
      'salt',
      'aliases',
      'source',
    ],
    number: [
      'impedanceOhm',
      'velocityFactor',
      'centreMm',
      'dielectricMm',
      'jacketMm',
      'k1',
      'k2',
      'capacitancePfPerM',
      'maxVoltageRms',
      'peakRfV',
      'lawFromMhz',
      'velocityTolerance',
      'lossTolerance',
      'pullN',
      'bendOnceMm',
      'bendRepeatedMm',
      'massKgPerKm',
      'maxJacketC',
      'innerOhmPerKm',
      'outerOhmPerKm',
      'costPerM',
    ],
    flag: ['uvResistant'],
  },
  part: {
    text: ['id', 'name', 'face', 'style', 'source'],
    number: [
      'bodyBoreMm',
      'seatMm',
      'neckMm',
      'neckOuterMm',
      'gripBoreMm',
      'gripMm',
      'foldBackMm',
      'hexMm',
      'jacketToPlaneMm',
      'proudMm',
      'electricalMm',
      'minutes',
    ],
    flag: ['captiveNut'],
  },
  adapter: {
    text: ['id', 'name', 'form', 'source'],
    number: ['lengthMm', 'massG', 'electricalMm', 'maxFrequencyHz', 'insulatorDepthMm'],
    flag: [],
  },
  port: {
    text: ['id', 'name', 'side', 'face'],
    number: ['lowHz', 'highHz', 'powerW', 'swr', 'matings', 'insulatorDepthMm'],
    flag: ['handheld', 'dcShort'],
  },
  stock: {
    text: ['id', 'countedAt', 'supplier', 'place', 'lot'],
    number: ['count', 'matings', 'lowest', 'price'],
    flag: [],
  },
  reel: { text: ['id', 'name', 'cable', 'lot'], number: ['lengthM'], flag: ['isNew'] },
} satisfies Record<ShopKind, { text: string[]; number: string[]; flag: string[] }>;

/** Dimensions of a part which a style may not have: null in JSON, an empty cell in CSV. */
export const absentDimensions = ['bodyBoreMm', 'neckOuterMm', 'gripBoreMm', 'hexMm'] as const;
const nullable = new Set<string>(absentDimensions);
/** What nobody may have said is left out, not empty. */
const optional = new Set([
  'wetDuct',
  'salt',
  'aliases',
  'captiveNut',
  'countedAt',
  'supplier',
  'place',
  // A reel has its lot, be it empty.
  'stock lot',
]);
const isOptional = (kind: string, name: string): boolean =>
  optional.has(name) || optional.has(`${kind} ${name}`);
const MAX_PINS = 4;

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

function toRow({ kind, data }: ShopEntry): Record<string, Cell> {
  const source: Record<string, unknown> = { ...data };
  const { text, number, flag }: { text: string[]; number: string[]; flag: string[] } = columns[kind];
  const row: Record<string, Cell> = { kind };
  for (const name of [...text, ...number]) row[name] = (source[name] ?? '') as Cell;
  for (const name of flag) row[name] = source[name] ? 'yes' : 'no';
  if (kind === 'adapter') {
    [row.face1, row.face2] = data.faces;
    if (data.device) {
      for (const name of deviceColumns) row[columnOf(name)] = data.device[name];
    }
  }
  if (kind === 'cable')
    row.lossPoints = (data.lossPoints ?? [])
      .map(({ frequencyHz, dbPer100M }) => `${dbPer100M}@${frequencyHz / 1e6}`)
      .join(' ');
  if (kind === 'reel') row.damaged = data.damaged.map(({ fromM, toM }) => `${fromM}-${toM}`).join(' ');
  if (kind === 'part') {
    for (const [k, { boreMm, depthMm, made }] of data.pins.entries()) {
      row[`pin${k + 1}BoreMm`] = boreMm;
      row[`pin${k + 1}DepthMm`] = depthMm;
      row[`pin${k + 1}Made`] = made;
    }
  }
  return row;
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

/** One line of CSV as an entry still to be checked, or the cell which is no number. */
function fromRow(
  row: Record<string, string>,
  where: string,
  mark: DecimalMark | undefined,
): { value: Record<string, unknown>; problem?: Problem } {
  const kind = row.kind.trim();
  if (!shopKinds.some((known) => known === kind)) return { value: {} };
  const { text, number, flag }: { text: string[]; number: string[]; flag: string[] } =
    columns[kind as ShopKind];
  const value: Record<string, unknown> = {};
  let problem: Problem | undefined;
  const numeric = (name: string): number | undefined => {
    const cell = (row[name] ?? '').trim();
    if (cell === '') return undefined;
    const read = parsePlainNumber(mark ? settledMarks(cell, mark) : cell, 'catalog');
    if (read.ok) return read.value;
    problem ??= { ...read.problem, where: `${where}, column ${name}` };
    return undefined;
  };
  for (const name of text) {
    const cell = (row[name] ?? '').trim();
    if (cell !== '' || !isOptional(kind, name)) value[name] = cell;
  }
  for (const name of number) {
    const read = numeric(name);
    if (read !== undefined) value[name] = read;
    else if (nullable.has(name)) value[name] = null;
  }
  for (const name of flag) {
    const yes = /^(yes|true|1)$/i.test((row[name] ?? '').trim());
    if (yes || !optional.has(name)) value[name] = yes;
  }
  Object.assign(value, spreadOverColumns(kind, row, numeric));
  return problem ? { value, problem } : { value };
}

/** What is one list in JSON and several columns, or one cell, in CSV. */
function spreadOverColumns(
  kind: string,
  row: Record<string, string>,
  numeric: (name: string) => number | undefined,
): Record<string, unknown> {
  if (kind === 'adapter')
    return {
      faces: [(row.face1 ?? '').trim(), (row.face2 ?? '').trim()],
      ...deviceOfRow(row, numeric),
    };
  if (kind === 'part') return { pins: pinsOfRow(row, numeric) };
  if (kind === 'cable') return lossOfCell(row.lossPoints ?? '');
  return kind === 'reel' ? { damaged: spansOfCell(row.damaged ?? '') } : {};
}

/** `2.0@10 6.9@100`: dB per 100 m at MHz. */
function lossOfCell(cell: string): { lossPoints?: { frequencyHz: number; dbPer100M: number }[] } {
  if (cell.trim() === '') return {};
  const lossPoints = cell
    .trim()
    .split(/\s+/)
    .map((point) => {
      const [dbPer100M, mhz] = point.split('@').map(Number);
      return { frequencyHz: mhz * 1e6, dbPer100M };
    });
  return { lossPoints };
}

/** `3.2-3.6 10-10.4`: damaged stretches, m. */
const spansOfCell = (cell: string): { fromM: number; toM: number }[] =>
  cell
    .trim()
    .split(/\s+/)
    .filter((span) => span !== '')
    .map((span) => {
      const [fromM, toM] = span.split('-').map(Number);
      return { fromM, toM };
    });

const deviceColumns = ['kind', 'lowHz', 'lossDb', 'averageW', 'dc', 'ratio'] as const;
/** `deviceLowHz`. */
const columnOf = (name: string): string => `device${name.charAt(0).toUpperCase()}${name.slice(1)}`;

function deviceOfRow(
  row: Record<string, string>,
  numeric: (name: string) => number | undefined,
): Record<string, unknown> {
  if ((row[columnOf('kind')] ?? '').trim() === '') return {};
  const device = deviceColumns.map((name): [string, unknown] => [
    name,
    name === 'kind' || name === 'dc' ? (row[columnOf(name)] ?? '').trim() : numeric(columnOf(name)),
  ]);
  return { device: Object.fromEntries(device) };
}

function pinsOfRow(
  row: Record<string, string>,
  numeric: (name: string) => number | undefined,
): Partial<PinBore>[] {
  return Array.from({ length: MAX_PINS }, (_, k) => k + 1).flatMap((k) => {
    const boreMm = numeric(`pin${k}BoreMm`);
    if (boreMm === undefined) return [];
    const depthMm = numeric(`pin${k}DepthMm`);
    const made = (row[`pin${k}Made`] ?? '').trim();
    return [
      { boreMm, ...(depthMm === undefined ? {} : { depthMm }), made: (made || 'either') as PinBore['made'] },
    ];
  });
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
