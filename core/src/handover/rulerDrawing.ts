import { seriesById } from '../catalog/index.js';
import type { Shape } from '../make/index.js';
import { formatLength, type UnitSystem } from '../quantity/index.js';
import type { Sheet } from '../run/index.js';
import { TEXT_WIDTH_MM, type Block } from './report.js';

const HEIGHT = 34;
const AXIS = 17;
/** Names of joints nearer to each other than this stand on two levels, mm. */
const NAME_MM = 6;

/** Millimetres on paper of each metre of the run. */
export const rulerScale = (totalM: number): number => TEXT_WIDTH_MM / Math.max(totalM, 0.01);

/** The run on its ruler: zones, pieces to scale and joints with their numbers. */
export function rulerDrawing(sheet: Sheet, system: UnitSystem): Block {
  const scale = rulerScale(sheet.totalM);
  const zones = sheet.route.spans.flatMap(({ fromM, toM, zone }, k): Shape[] => {
    const end = k === sheet.route.spans.length - 1 ? sheet.totalM : Math.min(toM, sheet.totalM);
    if (end <= fromM) return [];
    const [x, width] = [fromM * scale, (end - fromM) * scale];
    return [
      {
        kind: 'box',
        x,
        y: AXIS + 6,
        width,
        height: 3,
        fill: zone === 'dry' ? 'dielectric' : 'braid',
        what: `zone ${zone}`,
      },
      ...(width > 14
        ? [{ kind: 'text' as const, x, y: AXIS + 9.5, width, sizePt: 7, text: zone, ink: 'muted' as const }]
        : []),
    ];
  });
  const pieces = sheet.pieces.map(({ id, fromM, toM, kind, faces }): Shape => {
    const bodyMm = kind === 'assembly' ? 1.2 : Math.min(6, seriesById[faces[0].series].jackBodyMm / 3);
    return {
      kind: 'box',
      x: fromM * scale,
      y: AXIS - bodyMm / 2,
      width: Math.max(0.8, (toM - fromM) * scale),
      height: bodyMm,
      fill: kind === 'assembly' ? 'ink' : 'muted',
      what: `piece ${id}`,
    };
  });
  let lastX = -Infinity;
  let low = false;
  const joints = sheet.joints.flatMap(({ id, number, atM }): Shape[] => {
    const x = atM * scale;
    low = x - lastX < NAME_MM && !low;
    lastX = x;
    return [
      { kind: 'line', x, y: AXIS - 5, toX: x, toY: AXIS + 5, stroke: 'ink', thick: 0.4, what: `joint ${id}` },
      {
        kind: 'text',
        x: Math.min(x - 1.5, TEXT_WIDTH_MM - 7),
        y: low ? AXIS - 13 : AXIS - 9,
        width: 10,
        sizePt: 8,
        text: `J${number}`,
        bold: true,
      },
    ];
  });
  const total = formatLength(sheet.totalM, { system });
  return {
    kind: 'drawing',
    heightMm: HEIGHT,
    shapes: [
      ...zones,
      ...pieces,
      ...joints,
      {
        kind: 'line',
        x: 0,
        y: AXIS + 14,
        toX: TEXT_WIDTH_MM,
        toY: AXIS + 14,
        stroke: 'muted',
        what: 'ruler',
      },
      { kind: 'text', x: 0, y: AXIS + 14.5, width: 30, sizePt: 8, text: '0, radio', ink: 'muted' },
      {
        kind: 'text',
        x: TEXT_WIDTH_MM - 34,
        y: AXIS + 14.5,
        width: 34,
        sizePt: 8,
        text: `${total}, antenna`,
        ink: 'muted',
      },
    ],
    says: `${sheet.pieces.length} pieces and ${sheet.joints.length} joints over ${total}.`,
  };
}
