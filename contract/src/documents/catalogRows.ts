import {
  parsePlainNumber,
  settledMarks,
  shopKinds,
  type DecimalMark,
  type PinBore,
  type Problem,
  type ShopEntry,
  type ShopKind,
} from '@kobran/core';
import { type Cell } from './csv.js';

/** Entries of the catalogue as rows of CSV. */

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
      'rearMm',
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
/** An entry as one row: lists are spread over columns, or stand in one cell. */
export function toRow({ kind, data }: ShopEntry): Record<string, Cell> {
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

/** One line of CSV as an entry still to be checked, or the cell which is no number. */
export function fromRow(
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
