import { entry, type Catalog } from '../../catalog/index.js';
import { electricalDegrees } from '../../cut/index.js';
import { A4, type Paper, type Shape } from '../../make/index.js';
import { formatFrequency, formatLength } from '../../quantity/index.js';
import type { Assembly } from '../design/design.js';
import { endId, endSides } from '../design/ids.js';

/** What stands on the label of one end: words first, since they are read when every server is gone. */
export interface Label {
  name: string;
  lines: string[];
  /** A short name which says the same as the square beside it. */
  code: string;
  /** Dark cells of its QR code, row by row; nothing where it has none. */
  cells?: readonly (readonly boolean[])[];
}

/** How labels are printed: folded round the cable, wrapped round it, or one by one from a roll. */
export const labelForms = ['flag', 'wrap', 'roll'] as const;
export type LabelForm = (typeof labelForms)[number];

/** For thin cables, for usual ones, and for what is read from the ground. */
export const labelSizes = ['small', 'usual', 'large'] as const;
export type LabelSize = (typeof labelSizes)[number];

/** As many letters as the big line holds on the narrowest label beside its code. */
const MAX_LETTERS = 24;

/** The run’s name, cut where need be, and what it is of it: that is never cut. */
function headed(runName: string, what: string): string {
  const room = Math.max(8, MAX_LETTERS - what.length - 2);
  const name = runName.length <= room ? runName : `${runName.slice(0, room - 1).replace(/[\s,;:–-]+$/, '')}…`;
  return `${name}: ${what}`;
}

/** What a label says besides its assembly. */
export interface LabelledRun {
  name: string;
  /** A few letters which name the run. */
  code: string;
  /** Highest frequency in use, Hz. */
  topHz: number;
  /** The day on which an end was made, in words; of several of the same, of that piece; nothing when it is not. */
  madeOn: (endId: string, piece: number) => string | undefined;
}

/**
 * Labels for several of one assembly, one for each end: which cable of which run, its kind and length, end and day; where an end is not made
 * yet, room for the day. A cable which is cut to electrical length says that too. Handbook of the trade, 10.
 */
export function labelsOf(
  { id, label, cable, lengthM, target }: Assembly,
  count: number,
  catalog: Catalog,
  { name: runName, code: runCode, topHz, madeOn }: LabelledRun,
): Label[] {
  const type = entry(catalog.cables, cable);
  const size = `${type.name}, ${formatLength(lengthM, { system: 'metric', digits: 3 })}`;
  const phase = `${electricalDegrees(lengthM, topHz, type.velocityFactor).toFixed(0)}° at ${formatFrequency(topHz)}`;
  return Array.from({ length: count }, (_, k) => k).flatMap((k) =>
    endSides.map((side) => ({
      name: headed(runName, `${label}${count === 1 ? '' : ` ${k + 1}`}`),
      lines: [
        size,
        `${side === 'a' ? 'radio' : 'antenna'} end${target ? `, ${phase}` : ''}`,
        `made ${madeOn(endId(id, side), k) ?? '____________'}`,
      ],
      code: `${runCode}-${id}${count === 1 ? '' : `-${k + 1}`}-${side}`,
    })),
  );
}

/**
 * The label of a box, an entry or a pit through which a run goes: the place, the run, and how far it is.
 *
 * @param atM from the radio, m
 */
export const placeLabel = (
  place: { what: string; atM: number },
  runName: string,
  runCode: string,
): Label => ({
  name: headed(runName, place.what),
  lines: [`${formatLength(place.atM, { system: 'metric' })} from the radio`],
  code: `${runCode}-${place.what
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 24)}`,
});

/** Width and height, mm. */
type Measure = readonly [widthMm: number, heightMm: number];

/** Of a flag one half is seen from each side; a wrap-round is read from wherever somebody stands. */
const measures: Record<LabelForm, Record<LabelSize, Measure>> = {
  flag: { small: [50, 15], usual: [60, 20], large: [90, 30] },
  wrap: { small: [62, 18], usual: [90, 24], large: [135, 36] },
  roll: { small: [50, 18], usual: [62, 24], large: [100, 38] },
};
const MARGIN = 12;
const GAP = { x: 2, y: 1 };

/** Labels on A4 sheets, or one a page for a roll. */
export function labelSheet(
  labels: readonly Label[],
  form: LabelForm = 'flag',
  size: LabelSize = 'usual',
): Paper[] {
  const [widthMm, heightMm] = measures[form][size];
  const scale = heightMm / measures[form].usual[1];
  const isRoll = form === 'roll';
  const paper = isRoll ? { widthMm, heightMm } : A4;
  const margin = isRoll ? 0 : MARGIN;
  const fits = (room: number, each: number, gap: number): number =>
    isRoll ? 1 : Math.floor((room - 2 * MARGIN + gap) / (each + gap));
  const columns = fits(A4.widthMm, widthMm, GAP.x);
  const perPage = columns * fits(A4.heightMm, heightMm, GAP.y);
  return Array.from({ length: Math.ceil(labels.length / perPage) }, (_, page) => ({
    ...paper,
    shapes: labels.slice(page * perPage, (page + 1) * perPage).flatMap((label, k): Shape[] => {
      const x = margin + (k % columns) * (widthMm + GAP.x);
      const y = margin + Math.floor(k / columns) * (heightMm + GAP.y);
      return [
        ...(form === 'roll'
          ? []
          : [
              {
                kind: 'box' as const,
                x,
                y,
                width: widthMm,
                height: heightMm,
                stroke: 'muted' as const,
                what: 'label',
              },
            ]),
        ...labelShapes(label, { x, y, widthMm, heightMm, scale }),
      ];
    }),
  }));
}

/** Where a label lies on its page, and how much larger than usual it is. */
interface PlacedLabel {
  x: number;
  y: number;
  widthMm: number;
  heightMm: number;
  scale: number;
}

/** From line to line, in sizes of the letters: what the printed face takes. */
const LINE = 1.3;
const MM_PER_POINT = 25.4 / 72;
/** The least that is read at arm’s length, of the big line and of the others. Common practice, no source. */
const LEAST_PT = { head: 8, text: 6 };

/** Its lines one under the other, as high as they are, the rest of the height between them. */
function labelShapes(
  { name, lines, code, cells }: Label,
  { x, y, widthMm, heightMm, scale }: PlacedLabel,
): Shape[] {
  const square = cells ? heightMm - 3 : 0;
  const width = widthMm - 4 - square;
  const texts = [
    { kind: 'text' as const, width, sizePt: 10 * scale, leastPt: LEAST_PT.head, text: name, bold: true },
    ...[...lines, code].map((text, k) => ({
      kind: 'text' as const,
      width,
      sizePt: 7 * scale,
      leastPt: LEAST_PT.text,
      text,
      ...(k === lines.length ? { ink: 'muted' as const } : {}),
    })),
  ].map((text) => ({ ...text, sizePt: Math.max(text.leastPt, text.sizePt) }));
  const heights = texts.map(({ sizePt }) => sizePt * MM_PER_POINT * LINE);
  const gap = Math.max(0, heightMm - heights.reduce((sum, one) => sum + one, 0)) / (texts.length + 1);
  let at = y + gap;
  return [
    ...texts.map((text, k): Shape => {
      const top = at;
      at += heights[k] + gap;
      return { ...text, x: x + 2, y: top };
    }),
    ...(cells ? qrShapes(cells, x + widthMm - square - 1.5, y + 1.5, square) : []),
  ];
}

/** Dark cells as boxes, neighbours in a row as one. A quiet zone of the paper’s own lies about them. */
function qrShapes(cells: readonly (readonly boolean[])[], x: number, y: number, sizeMm: number): Shape[] {
  const cellMm = sizeMm / cells.length;
  return cells.flatMap((row, r) =>
    row.flatMap((dark, c): Shape[] => {
      if (!dark || row[c - 1]) return [];
      const end = row.findIndex((one, k) => k > c && !one);
      const width = ((end < 0 ? row.length : end) - c) * cellMm;
      return [
        {
          kind: 'box',
          x: x + c * cellMm,
          y: y + r * cellMm,
          width,
          height: cellMm,
          fill: 'ink',
          what: 'code',
        },
      ];
    }),
  );
}
