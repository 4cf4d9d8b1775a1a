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

/** As many letters as stand beside a code on the narrowest label. */
const MAX_LETTERS = 30;

const shortened = (text: string): string =>
  text.length <= MAX_LETTERS ? text : `${text.slice(0, MAX_LETTERS - 1).trimEnd()}…`;

/** What a label says besides its assembly. */
export interface LabelledRun {
  name: string;
  /** A few letters which name the run. */
  code: string;
  /** Highest frequency in use, Hz. */
  topHz: number;
  /** The day on which an end was made, in words; nothing when it is not. */
  madeOn: (endId: string) => string | undefined;
}

/**
 * Labels for several of one assembly, one for each end: its name with number, the run, cable and length, end and day. A cable which is cut
 * to electrical length says that too. Handbook of the trade, 10.
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
      name: `${label}${count === 1 ? '' : ` ${k + 1}`}`,
      lines: [
        shortened(runName),
        size,
        [
          `${side === 'a' ? 'radio' : 'antenna'} end`,
          target ? phase : '',
          count === 1 ? (madeOn(endId(id, side)) ?? '') : '',
        ]
          .filter(Boolean)
          .join(', '),
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
  name: place.what,
  lines: [shortened(runName), `${formatLength(place.atM, { system: 'metric' })} from the radio`],
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

function labelShapes(
  { name, lines, code, cells }: Label,
  { x, y, widthMm, heightMm, scale }: PlacedLabel,
): Shape[] {
  const square = cells ? heightMm - 3 : 0;
  const width = widthMm - 4 - square;
  // Letters grow with the label, and are never smaller than an eye reads at arm’s length.
  const [headPt, textPt] = [Math.max(8, 10 * scale), Math.max(6, 7 * scale)];
  return [
    { kind: 'text', x: x + 2, y: y + 1.2 * scale, width, sizePt: headPt, text: name, bold: true },
    ...lines.map((text, k): Shape => ({
      kind: 'text',
      x: x + 2,
      y: y + (5.4 + k * 3.4) * scale,
      width,
      sizePt: textPt,
      text,
    })),
    {
      kind: 'text',
      x: x + 2,
      y: y + heightMm - 4.2 * scale,
      width,
      sizePt: textPt,
      text: code,
      ink: 'muted',
    },
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
