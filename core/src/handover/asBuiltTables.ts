import type { Catalog } from '../catalog/index.js';
import { formatFigure, formatLength, formatSpread, type Figure, type UnitSystem } from '../quantity/index.js';
import {
  assembliesOf,
  factAbout,
  factsOf,
  factText,
  newest,
  sealOf,
  tubeHistory,
  type Design,
  type Fact,
  type FactOf,
  type Facts,
  type Sheet,
} from '../run/index.js';
import { closure, sealSystem, type SealSystemId } from '../seal/index.js';
import type { Practice } from '../practice/index.js';
import { type PrintedPicture } from './photoBlocks.js';
import type { Block } from './report.js';
import { sealDrawing } from './sealDrawing.js';
import { type PrintedSweep } from './sweepDrawing.js';

/** A run with all that its as-built says. */
export interface BuiltRun {
  design: Design;
  facts: Facts;
  sheet: Sheet;
  practice: Practice;
  catalog: Catalog;
  /** Head of its chained log, and how many entries it stands for. */
  log: { head: string; entries: number };
  /** The first accepted proof of the whole run. */
  birth: PrintedSweep | undefined;
  /** Its elevation, where it lies on a site. */
  height: Block | undefined;
  /** Of the photos in its log, by their ids. */
  pictures: ReadonlyMap<string, PrintedPicture>;
}

export interface ReportOptions {
  units: UnitSystem;
  /** A customer’s copy has no names of the crew. */
  forCustomer: boolean;
  /** Moments in the words of whoever prints it. */
  day: (at: string) => string;
  /** This moment, ISO 8601. */
  now: string;
}

export const heading = (text: string): Block => ({ kind: 'heading', level: 2, text });

export function figuresTable({ sheet }: BuiltRun, { units }: ReportOptions): Block[] {
  const names: [keyof Sheet['figures'], string][] = [
    ['length', 'Length'],
    ['loss', 'Loss, radio to antenna'],
    ['lineLoss', 'Loss of the line, matched'],
    ['reaching', 'Power in the antenna'],
    ['swrAtRadio', 'SWR at the radio'],
    ['peakVoltage', 'Peak voltage'],
  ];
  const rows = names
    .filter(([name]) => !sheet.receiveOnly || !['reaching', 'peakVoltage'].includes(name))
    .map(([name, label]) => {
      const one: Figure = sheet.figures[name];
      return [label, formatFigure(one, units), formatSpread(one, units), one.source];
    });
  return [
    heading('Figures'),
    { kind: 'table', head: ['', 'Value', 'Give or take', 'From'], rows, widths: [44, 28, 28, 80] },
  ];
}

export function endsTable(
  { design, facts, sheet }: BuiltRun,
  { units, forCustomer, day }: ReportOptions,
): Block[] {
  const rows = assembliesOf(design).flatMap((piece) =>
    sheet.ends
      .filter(({ pieceId }) => pieceId === piece.id)
      .map((end) => {
        const made = newest(factsOf(facts, 'end made').filter(({ endId }) => endId === end.id));
        return [
          end.name,
          `${end.cable.name}, ${formatLength(piece.lengthM, { system: units })}${piece.lot ? `, lot ${piece.lot}` : ''}`,
          end.part.name,
          [
            end.copies === 1 ? '' : `${end.copiesMade} of ${end.copies} made`,
            made ? `${day(made.at)}${forCustomer || made.by === '' ? '' : `, ${made.by}`}` : 'not made',
          ]
            .filter(Boolean)
            .join('; '),
        ];
      }),
  );
  return rows.length === 0
    ? []
    : [
        heading('Ends'),
        { kind: 'table', head: ['End', 'Cable', 'Connector', 'Made'], rows, widths: [46, 52, 50, 32] },
      ];
}

export function readingsTable({ sheet }: BuiltRun, { units, forCustomer, day }: ReportOptions): Block[] {
  const rows = sheet.proofs.flatMap(({ name, copies, expectations }) =>
    expectations.map(({ name: what, expected, reading, judgement, copiesRead }) => [
      copies === 1 ? name : `${name}, ${copiesRead} of ${copies} read`,
      what,
      formatFigure(expected, units),
      reading
        ? reading.value === null
          ? 'over range'
          : formatFigure({ ...expected, value: reading.value }, units)
        : 'not read',
      reading && judgement
        ? `${judgement.verdict}; ${day(reading.at)}${forCustomer || reading.by === '' ? '' : `, ${reading.by}`}`
        : '',
    ]),
  );
  rows.push(
    ...sheet.runProofs.map(({ name, expected, reading, text, judgement }) => [
      'The whole run',
      name,
      Number.isFinite(expected.value) ? formatFigure(expected, units) : 'open',
      text.slice(text.indexOf(':') + 1).trim(),
      `${judgement.verdict}; ${day(reading.at)}${forCustomer || reading.by === '' ? '' : `, ${reading.by}`}`,
    ]),
  );
  return rows.length === 0
    ? []
    : [
        heading('Readings'),
        {
          kind: 'table',
          head: ['Of', 'What', 'Expected', 'Read', 'Judged'],
          rows,
          widths: [36, 50, 28, 24, 42],
        },
      ];
}

/** What closes a joint: as it was done, or as it is meant. */
function sealedWith(fact: FactOf<'sealed'> | undefined, system: SealSystemId | undefined): string {
  if (fact?.closure) return closure(fact.closure).name;
  const id = fact?.system ?? system;
  return id ? sealSystem(id).name : 'housing or potting';
}

export function sealTable({ facts, sheet }: BuiltRun, { units, forCustomer, day }: ReportOptions): Block[] {
  const rows = sheet.wraps.map(({ jointId, name, zone, system, sealed, inspectionDue }) => {
    const fact = sealOf(facts, jointId);
    return [
      name,
      zone,
      sealedWith(fact, system),
      sealed && fact
        ? `${day(fact.at)}${forCustomer || fact.by === '' ? '' : `, ${fact.by}`}${fact.celsius === undefined ? '' : `, ${fact.celsius} °C`}${fact.torqueNm === undefined ? '' : `, ${fact.torqueNm.toFixed(2)} N·m`}`
        : 'not sealed',
      inspectionDue ? day(inspectionDue) : '',
    ];
  });
  return rows.length === 0
    ? []
    : [
        heading('Seals'),
        {
          kind: 'table',
          head: ['Joint', 'Place', 'System', 'Sealed', 'Look again by'],
          rows,
          widths: [20, 22, 56, 52, 30],
        },
        ...sheet.wraps.flatMap((wrap) => (wrap.sealed ? (sealDrawing(wrap, units) ?? []) : [])),
      ];
}

export function groundTable(
  { design, facts, sheet, catalog }: BuiltRun,
  { forCustomer, day }: ReportOptions,
): Block[] {
  const rows = design.pieces.flatMap((piece) => {
    if (piece.kind !== 'arrester') return [];
    const grounded = factAbout(facts, 'grounded');
    const { last } = tubeHistory(facts, piece.id);
    return [
      [
        catalog.arresters.get(piece.arrester)?.name ?? piece.arrester,
        `${piece.tubeV} V tube`,
        grounded
          ? `${day(grounded.at)}${forCustomer || grounded.by === '' ? '' : `, ${grounded.by}`}`
          : 'not grounded',
        last ? `${last.found}, ${day(last.at)}` : 'not looked at since it was fitted',
      ],
    ];
  });
  if (rows.length === 0) return [];
  const head = ['Arrester', 'Tube', 'Grounded', 'Tube was last'];
  return [
    heading('Ground'),
    { kind: 'table', head, rows, widths: [56, 26, 42, 56] },
    ...(sheet.tube ? [{ kind: 'text' as const, text: sheet.tube.why, tone: 'muted' as const }] : []),
  ];
}

export function logTable({ facts, catalog, log }: BuiltRun, { forCustomer, day }: ReportOptions): Block[] {
  const line = (fact: Fact): string[] => [
    day(fact.at),
    ...(forCustomer ? [] : [fact.by || 'unsigned']),
    fact.kind,
    factText(fact, catalog),
  ];
  const rows = facts
    .filter(({ kind }) => kind !== 'reading')
    .toSorted((x, y) => x.at.localeCompare(y.at))
    .map(line);
  return [
    heading('Log'),
    ...(rows.length === 0
      ? []
      : [
          {
            kind: 'table' as const,
            head: forCustomer ? ['Day', 'What', ''] : ['Day', 'Who', 'What', ''],
            rows,
            widths: forCustomer ? [28, 30, 122] : [28, 22, 30, 100],
          },
        ]),
    {
      kind: 'text',
      text: `${log.entries} entries, each chained to the one before (SHA-256). Head of the log: ${log.head}`,
      tone: 'muted',
    },
  ];
}
