import type { Shape } from '../make/index.js';
import { formatFigure, type UnitSystem } from '../quantity/index.js';
import { NODE_PX, oneLine, type SiteSheet } from '../site/index.js';
import { TEXT_WIDTH_MM, type Block } from './report.js';

/** Taller than this it does not stand on a page. */
const MAX_HEIGHT_MM = 235;

/** The ground of a site as one line: surges come in at the left and go into the soil at the right. Missing conductors are dashes of red. */
export function groundDrawing(
  { ground, snags }: Pick<SiteSheet, 'ground' | 'snags'>,
  units: UnitSystem,
): Block | undefined {
  if (ground.nodes.length === 0) return undefined;
  const drawn = oneLine(ground, snags);
  const scale = Math.min(TEXT_WIDTH_MM / drawn.width, MAX_HEIGHT_MM / drawn.height, 0.24);
  const sizePt = Math.max(4, Math.min(7, scale * 34));
  const line = (points: readonly { x: number; y: number }[], missing: boolean, what: string): Shape[] =>
    points.slice(1).map((end, k) => ({
      kind: 'line',
      x: points[k].x * scale,
      y: points[k].y * scale,
      toX: end.x * scale,
      toY: end.y * scale,
      stroke: missing ? 'stop' : 'ink',
      thick: missing ? 0.2 : 0.4,
      what,
    }));
  const half = { width: (NODE_PX.width * scale) / 2, height: (NODE_PX.height * scale) / 2 };
  const boxes = ground.nodes.flatMap(({ id, name, joined, tied }): Shape[] => {
    const at = drawn.nodes.get(id) ?? { x: 0, y: 0 };
    const [x, y] = [at.x * scale, at.y * scale];
    return [
      {
        kind: 'box',
        x: x - half.width,
        y: y - half.height,
        width: 2 * half.width,
        height: 2 * half.height,
        stroke: tied ? 'ink' : 'stop',
        what: `part ${id}`,
      },
      {
        kind: 'text',
        x: x - half.width + 0.6,
        y: y - half.height + 0.5,
        width: 2 * half.width - 1.2,
        sizePt,
        text: joined || !tied ? name : `${name} (not joined)`,
      },
    ];
  });
  const bonds = drawn.bonds.flatMap(({ sheet, points, label }): Shape[] => [
    ...line(points, false, `conductor ${sheet.bond.id}`),
    {
      kind: 'text',
      x: label.x * scale - 9,
      y: label.y * scale - sizePt * 0.5,
      width: 20,
      sizePt,
      ink: 'muted',
      text: [
        sheet.length ? formatFigure(sheet.length, units) : '',
        sheet.areaMm2 > 0 ? `${sheet.areaMm2.toFixed(0)} mm²` : '',
      ]
        .filter(Boolean)
        .join(', '),
    },
  ]);
  const gaps = drawn.gaps.flatMap(({ gap, points }) =>
    line(points, true, `missing ${gap.from} to ${gap.to}`),
  );
  const loose = ground.nodes.filter(({ tied }) => !tied).length;
  return {
    kind: 'drawing',
    heightMm: drawn.height * scale + 2,
    shapes: [...bonds, ...gaps, ...boxes],
    says: `${ground.nodes.length} parts, ${ground.bonds.length} conductors; ${loose === 0 ? 'all are tied together' : `${loose} tied to nothing`}, ${drawn.gaps.length} conductors missing.`,
  };
}
