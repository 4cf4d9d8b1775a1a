import { asSentence, formatLength } from '../quantity/index.js';
import { photosOf, placeNames, revisionsOf, signedState } from '../run/index.js';
import { photoBlocks } from './photoBlocks.js';
import {
  endsTable,
  figuresTable,
  groundTable,
  heading,
  logTable,
  readingsTable,
  sealTable,
  type BuiltRun,
  type ReportOptions,
} from './asBuiltTables.js';
import type { Block } from './report.js';
import { rulerDrawing } from './rulerDrawing.js';
import { echoDrawing, sweepDrawing } from './sweepDrawing.js';

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
      text: `${level.toUpperCase()}: ${asSentence(what)} ${why} (${source})`,
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
