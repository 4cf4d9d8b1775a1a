import type { Catalog } from '../catalog/index.js';
import { formatFigure, formatLength, formatSpread, type Figure, type UnitSystem } from '../quantity/index.js';
import {
  assembliesOf,
  factAbout,
  factsOf,
  factText,
  newest,
  photosOf,
  placeNames,
  revisionsOf,
  signedState,
  tubeHistory,
  type Design,
  type Fact,
  type Facts,
  type Sheet,
} from '../run/index.js';
import { sealSystem } from '../seal/index.js';
import type { Practice } from '../practice/index.js';
import { photoBlocks, type PrintedPicture } from './photoBlocks.js';
import type { Block } from './report.js';
import { rulerDrawing } from './rulerDrawing.js';
import { sealDrawing } from './sealDrawing.js';
import { echoDrawing, sweepDrawing, type PrintedSweep } from './sweepDrawing.js';

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

/**
 * The as-built of a run as blocks: what was built, by whom, what was read, what is open, and the head of the log which stands for all of it.
 * Handbook of the trade, 10.
 */
export function asBuiltRun(run: BuiltRun, options: ReportOptions, newPage = false): Block[] {
  const { design, sheet } = run;
  const blocks: Block[] = [
    { kind: 'heading', level: 1, text: design.name, newPage },
    { kind: 'text', text: standing(run, options) },
    { kind: 'text', text: sheet.headline },
    { kind: 'text', text: sheet.reason, tone: 'muted' },
    rulerDrawing(sheet, options.units),
    ...figuresTable(run, options),
    ...endsTable(run, options),
    ...readingsTable(run, options),
    ...(run.height ? [heading('Along its route'), run.height] : []),
    ...birthRecord(run, options),
    ...sealTable(run, options),
    ...groundTable(run, options),
    ...photos(run, options),
    ...problems(run),
    ...logTable(run, options),
    ...signatures(run, options),
  ];
  return options.forCustomer ? blocks.map(withoutNames(run)) : blocks;
}

/** The first accepted proof: return loss, and what came back from where. */
function birthRecord({ birth }: BuiltRun, { units }: ReportOptions): Block[] {
  if (!birth) return [];
  const { echo } = birth;
  return [
    heading('Birth record'),
    sweepDrawing(birth),
    ...(echo && echo.distanceM.length > 1
      ? [
          echoDrawing(echo, units),
          {
            kind: 'table' as const,
            head: ['Echo from', 'At', 'Comes back there'],
            rows: echo.peaks
              .slice(0, MAX_PEAKS)
              .map(({ name, distanceM, returnLossDb }) => [
                name,
                formatLength(distanceM, { system: units }),
                `${returnLossDb.toFixed(1)} dB below all`,
              ]),
            widths: [90, 40, 50],
          },
        ]
      : []),
  ];
}

/** Weaker ones nobody compares with. */
const MAX_PEAKS = 6;

/** What was typed may name somebody too: a customer reads of the crew. */
function withoutNames({ facts, practice }: BuiltRun): (block: Block) => Block {
  const names = [...new Set([...(practice.crew ?? []), ...facts.map(({ by }) => by)])]
    .filter((name) => name.trim() !== '')
    .sort((x, y) => y.length - x.length)
    .map((name) => name.replace(/[\\^$.*+?()[\]{}|]/g, '\\$&'));
  if (names.length === 0) return (block) => block;
  const any = new RegExp(`(?<![\\p{L}\\p{N}])(?:${names.join('|')})(?![\\p{L}\\p{N}])`, 'gu');
  const clean = (text: string): string => text.replace(any, 'the crew');
  return (block) => {
    if (block.kind === 'table') return { ...block, rows: block.rows.map((row) => row.map(clean)) };
    if (block.kind === 'photos')
      return {
        ...block,
        photos: block.photos.map((photo) => ({ ...photo, caption: clean(photo.caption) })),
      };
    return block.kind === 'text' ? { ...block, text: clean(block.text) } : block;
  };
}

const heading = (text: string): Block => ({ kind: 'heading', level: 2, text });

/** Which revision it is, and whether the log can be trusted. */
function standing({ design, facts, practice }: BuiltRun, { day }: ReportOptions): string {
  const { revision, changed, missing } = signedState(design, facts, practice);
  if (!revision) return 'Not signed: this is a draft.';
  const at = day(revision.signed[0].at);
  if (changed) return `Changed since revision ${revision.number} of ${at}: what stands here is not signed.`;
  return missing > 0
    ? `Revision ${revision.number} of ${at}, ${missing} ${missing === 1 ? 'signature' : 'signatures'} missing.`
    : `Revision ${revision.number} of ${at}.`;
}

function figuresTable({ sheet }: BuiltRun, { units }: ReportOptions): Block[] {
  const names: [keyof Sheet['figures'], string][] = [
    ['length', 'Length'],
    ['loss', 'Loss, radio to antenna'],
    ['matchedLoss', 'Loss of the line, matched'],
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

function endsTable({ design, facts, sheet }: BuiltRun, { units, forCustomer, day }: ReportOptions): Block[] {
  const rows = assembliesOf(design).flatMap((piece) =>
    sheet.ends
      .filter(({ pieceId }) => pieceId === piece.id)
      .map((end) => {
        const made = newest(factsOf(facts, 'end made').filter(({ endId }) => endId === end.id));
        return [
          end.name,
          `${end.cable.name}, ${formatLength(piece.lengthM, { system: units })}${piece.lot ? `, lot ${piece.lot}` : ''}`,
          end.part.name,
          made ? `${day(made.at)}${forCustomer || made.by === '' ? '' : `, ${made.by}`}` : 'not made',
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

function readingsTable({ sheet }: BuiltRun, { units, forCustomer, day }: ReportOptions): Block[] {
  const rows = sheet.proofs.flatMap(({ name, expectations }) =>
    expectations.map(({ name: what, expected, reading, judgement }) => [
      name,
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

function sealTable({ facts, sheet }: BuiltRun, { units, forCustomer, day }: ReportOptions): Block[] {
  const rows = sheet.wraps.map(({ jointId, jointIds, name, zone, system, sealed, inspectionDue }) => {
    const fact = newest(
      factsOf(facts, 'sealed').filter((one) => jointIds.includes(one.jointId) || one.with?.includes(jointId)),
    );
    return [
      name,
      zone,
      fact?.system ? sealSystem(fact.system).name : system ? sealSystem(system).name : 'housing or potting',
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

function groundTable(
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

function photos({ facts, sheet, pictures }: BuiltRun, { forCustomer, day }: ReportOptions): Block[] {
  const names = placeNames(sheet);
  return photoBlocks(
    photosOf(facts),
    pictures,
    (about) => names.get(about) ?? about,
    ({ by, at }) => (forCustomer || by === '' ? day(at) : `${day(at)}, ${by}`),
  );
}

function problems({ sheet: { snags, stages } }: BuiltRun): Block[] {
  const open = stages.filter(({ id, state }) => id !== 'handover' && state !== 'done');
  return [
    heading('Open problems'),
    ...(snags.length === 0 ? [{ kind: 'text' as const, text: 'None.' }] : []),
    ...snags.map(({ level, what, why, source }): Block => ({
      kind: 'text',
      text: `${level.toUpperCase()}: ${what}. ${why} (${source})`,
      tone: level === 'stop' ? 'stop' : 'plain',
    })),
    ...(open.length > 0
      ? [
          {
            kind: 'text' as const,
            text: `Open stages: ${open.map(({ name, detail }) => `${name.toLowerCase()} (${detail})`).join(', ')}.`,
          },
        ]
      : []),
  ];
}

function logTable({ facts, catalog, log }: BuiltRun, { forCustomer, day }: ReportOptions): Block[] {
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

function signatures({ design, facts, practice }: BuiltRun, { forCustomer, day }: ReportOptions): Block[] {
  const revision = revisionsOf(facts).at(-1);
  const { missing } = signedState(design, facts, practice);
  const said = (revision?.signed ?? []).map(({ by, at, reason }, k) =>
    [
      `${forCustomer ? `Signature ${k + 1}` : by || 'unsigned'}, ${day(at)}`,
      reason ? `handed over with stages open because: ${reason}` : '',
    ]
      .filter(Boolean)
      .join('; '),
  );
  return [
    heading('Signatures'),
    ...said.map((text): Block => ({ kind: 'text', text })),
    ...Array.from({ length: missing }, (): Block => ({
      kind: 'text',
      text: 'Name ______________________________   Day ______________   Signature ______________________',
    })),
  ];
}
