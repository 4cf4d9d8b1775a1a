import type { Shape } from '../make/index.js';
import { TEXT_WIDTH_MM, type Block } from './report.js';

/** A curve to be printed: figures downwards, as losses are read. */
export interface PrintedCurve {
  x: ArrayLike<number>;
  /** Downwards; beyond `lowest` a value is drawn at the foot. */
  y: ArrayLike<number>;
  /** Where several samples share a place on paper: the one which matters. */
  keeps: 'least' | 'most';
  /** The foot of the scale, in the unit of y. */
  lowest: number;
  title: string;
  from: string;
  to: string;
  unit: string;
  /** What a reader who does not see it learns. */
  says: string;
}

const HEIGHT = 52;
const [LEFT, TOP, BOTTOM] = [10, 4, 42];
/** More lines than this cannot be told apart on paper. */
const MAX_LINES = 240;

/** A curve on a grid of tens, to be printed. */
export function curveDrawing(curve: PrintedCurve): Block {
  const { x: xs, y: ys, keeps, lowest, title, from, to, unit, says } = curve;
  const count = xs.length;
  const [low, high] = [xs[0], xs[count - 1]];
  const foot = Math.max(10, Math.ceil(lowest / 10) * 10);
  const x = (value: number): number =>
    LEFT + ((value - low) / Math.max(1e-9, high - low)) * (TEXT_WIDTH_MM - LEFT);
  const y = (value: number): number => TOP + (Math.min(foot, Math.max(0, value)) / foot) * (BOTTOM - TOP);
  const share = Math.ceil(count / MAX_LINES);
  const points = Array.from({ length: Math.ceil(count / share) }, (_, k) => {
    const start = k * share;
    let chosen = start;
    for (let n = start; n < Math.min(count, start + share); n++)
      if (keeps === 'least' ? ys[n] < ys[chosen] : ys[n] > ys[chosen]) chosen = n;
    return { x: x(xs[chosen]), y: y(ys[chosen]) };
  });
  const grid = Array.from({ length: foot / 10 + 1 }, (_, k): Shape[] => [
    {
      kind: 'line',
      x: LEFT,
      y: y(k * 10),
      toX: TEXT_WIDTH_MM,
      toY: y(k * 10),
      stroke: 'braid',
      thick: 0.1,
      what: 'grid',
    },
    {
      kind: 'text',
      x: 0,
      y: y(k * 10) - 1.6,
      width: LEFT - 1,
      sizePt: 7,
      text: `${k * 10} ${unit}`,
      ink: 'muted',
    },
  ]).flat();
  const word = (at: number, width: number, text: string, ink: 'ink' | 'muted' = 'ink'): Shape => ({
    kind: 'text',
    x: at,
    y: BOTTOM + 1,
    width,
    sizePt: 8,
    text,
    ink,
  });
  return {
    kind: 'drawing',
    heightMm: HEIGHT,
    shapes: [
      ...grid,
      ...points.slice(1).map((end, k): Shape => ({
        kind: 'line',
        x: points[k].x,
        y: points[k].y,
        toX: end.x,
        toY: end.y,
        stroke: 'ink',
        thick: 0.3,
        what: 'curve',
      })),
      word(LEFT, 40, from),
      word(TEXT_WIDTH_MM - 24, 24, to),
      word(LEFT + 50, 90, title, 'muted'),
    ],
    says,
  };
}
