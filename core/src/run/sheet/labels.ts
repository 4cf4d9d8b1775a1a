import { entry, type Catalog } from '../../catalog/index.js';
import { electricalDegrees } from '../../cut/index.js';
import { A4, type Paper, type Shape } from '../../make/index.js';
import { formatFrequency, formatLength } from '../../quantity/index.js';
import type { Assembly } from '../design/design.js';

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

/**
 * Labels for several of one assembly, one for each end: name with number, cable and length, and what its length is at the frequency in use.
 *
 * @param topHz highest frequency in use, Hz
 * @param runCode a few letters which name the run
 */
export function labelsOf(
  { id, label, cable, lengthM }: Assembly,
  count: number,
  catalog: Catalog,
  { topHz, runCode }: { topHz: number; runCode: string },
): Label[] {
  const type = entry(catalog.cables, cable);
  const size = `${type.name}, ${formatLength(lengthM, { system: 'metric', digits: 3 })}`;
  const phase = `${electricalDegrees(lengthM, topHz, type.velocityFactor).toFixed(0)}° at ${formatFrequency(topHz)}`;
  return Array.from({ length: count }, (_, k) => k).flatMap((k) =>
    (['radio', 'antenna'] as const).map((end) => ({
      name: count === 1 ? label : `${label} ${k + 1}`,
      lines: [size, `${phase}, ${end} end`],
      code: `${runCode}-${id}${count === 1 ? '' : `-${k + 1}`}-${end === 'radio' ? 'a' : 'b'}`,
    })),
  );
}

interface Form {
  widthMm: number;
  heightMm: number;
  columns: number;
  rows: number;
}

/** Of a flag one half is seen from each side; a wrap-round is read from wherever somebody stands. */
const forms: Record<LabelForm, Form> = {
  flag: { widthMm: 60, heightMm: 20, columns: 3, rows: 13 },
  wrap: { widthMm: 90, heightMm: 24, columns: 2, rows: 11 },
  roll: { widthMm: 62, heightMm: 24, columns: 1, rows: 1 },
};
const MARGIN = 12;
const GAP = { x: 2, y: 1 };

/** Labels on A4 sheets, or one a page for a roll. */
export function labelSheet(labels: readonly Label[], form: LabelForm = 'flag'): Paper[] {
  const { widthMm, heightMm, columns, rows } = forms[form];
  const perPage = columns * rows;
  const paper = form === 'roll' ? { widthMm, heightMm } : A4;
  const margin = form === 'roll' ? 0 : MARGIN;
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
        ...labelShapes(label, x, y, widthMm, heightMm),
      ];
    }),
  }));
}

function labelShapes(
  { name, lines, code, cells }: Label,
  x: number,
  y: number,
  widthMm: number,
  heightMm: number,
): Shape[] {
  const square = cells ? heightMm - 3 : 0;
  const width = widthMm - 4 - square;
  return [
    { kind: 'text', x: x + 2, y: y + 1.2, width, sizePt: 10, text: name, bold: true },
    ...lines.map((text, k): Shape => ({
      kind: 'text',
      x: x + 2,
      y: y + 6 + k * 4,
      width,
      sizePt: 7.5,
      text,
    })),
    { kind: 'text', x: x + 2, y: y + heightMm - 4.2, width, sizePt: 7, text: code, ink: 'muted' },
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
