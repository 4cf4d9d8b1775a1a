import type { Shape } from '../make/index.js';
import { formatLength, type UnitSystem } from '../quantity/index.js';
import type { HeightProfile, RouteMark, RouteMarkKind } from '../site/index.js';
import { rulerScale } from './rulerDrawing.js';
import { TEXT_WIDTH_MM, type Block } from './report.js';

const HEIGHT = 58;
const [TOP, BOTTOM] = [8, 46];
/** One letter for each kind of mark; supports are ticks, since there are many. */
const letters: Record<Exclude<RouteMarkKind, 'support'>, string> = {
  bend: 'b',
  loop: 'l',
  box: 'x',
  'ground kit': 'g',
  seal: 's',
};
/** Letters nearer than this stand over each other, mm. */
const LETTER_MM = 3;

/** How high the run is along its ruler, with bends, loops, boxes, ground kits and seals: the ruler’s own scale lengthwise, heights to their own. */
export function heightDrawing(
  { line }: HeightProfile,
  marks: readonly RouteMark[],
  totalM: number,
  units: UnitSystem,
): Block {
  const heights = line.map(({ zM }) => zM);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const scale = rulerScale(Math.max(totalM, line[line.length - 1].atM));
  const x = (atM: number): number => atM * scale;
  const y = (zM: number): number => BOTTOM - ((zM - low) / Math.max(1, high - low)) * (BOTTOM - TOP);
  const metres = (value: number): string => formatLength(value, { system: units });
  const run = line.slice(1).map((end, k): Shape => ({
    kind: 'line',
    x: x(line[k].atM),
    y: y(line[k].zM),
    toX: x(end.atM),
    toY: y(end.zM),
    stroke: 'ink',
    thick: 0.6,
    what: 'height',
  }));
  const supports = marks
    .filter(({ kind }) => kind === 'support')
    .map(({ atM, zM }): Shape => ({
      kind: 'line',
      x: x(atM),
      y: y(zM),
      toX: x(atM),
      toY: y(zM) + 1.6,
      stroke: 'muted',
      what: 'support',
    }));
  let last = { x: -Infinity, level: 0 };
  const words = marks.flatMap(({ kind, atM, zM, what }): Shape[] => {
    if (kind === 'support') return [];
    const at = x(atM);
    const level = at - last.x < LETTER_MM ? (last.level + 1) % 3 : 0;
    last = { x: at, level };
    return [
      { kind: 'line', x: at, y: y(zM) - 1.5, toX: at, toY: y(zM) + 1.5, stroke: 'ink', thick: 0.3, what },
      {
        kind: 'text',
        x: Math.min(at - 0.8, TEXT_WIDTH_MM - 4),
        y: Math.max(0, y(zM) - 5 - level * 2.8),
        width: 4,
        sizePt: 7,
        text: letters[kind],
      },
    ];
  });
  const kinds = (Object.keys(letters) as (keyof typeof letters)[]).filter((kind) =>
    marks.some((mark) => mark.kind === kind),
  );
  const legend = [
    ...kinds.map((kind) => `${letters[kind]} ${kind}`),
    ...(supports.length > 0 ? ['ticks: supports'] : []),
  ].join('   ');
  return {
    kind: 'drawing',
    heightMm: HEIGHT,
    shapes: [
      ...run,
      ...supports,
      ...words,
      {
        kind: 'line',
        x: 0,
        y: BOTTOM + 4,
        toX: TEXT_WIDTH_MM,
        toY: BOTTOM + 4,
        stroke: 'muted',
        what: 'ruler',
      },
      {
        kind: 'text',
        x: 0,
        y: BOTTOM + 5,
        width: TEXT_WIDTH_MM,
        sizePt: 7.5,
        ink: 'muted',
        text: `Heights from ${metres(low)} to ${metres(high)}.   ${legend}`,
      },
    ],
    says: `Height along the run, from ${metres(line[0].zM)} at the radio to ${metres(line[line.length - 1].zM)} at the antenna: ${kinds
      .map((kind) => `${marks.filter((mark) => mark.kind === kind).length} ${kind}`)
      .join(', ')}, ${supports.length} supports.`,
  };
}
