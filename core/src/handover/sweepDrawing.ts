import type { Shape } from '../make/index.js';
import { formatFrequency } from '../quantity/index.js';
import { TEXT_WIDTH_MM, type Block } from './report.js';

/** A sweep as it is printed: return loss over frequency. */
export interface PrintedSweep {
  name: string;
  at: string;
  frequencyHz: ArrayLike<number>;
  returnLossDb: ArrayLike<number>;
}

const HEIGHT = 52;
const [LEFT, TOP, BOTTOM] = [10, 4, 42];
/** A better match than this no meter of the trade tells from a perfect one, whose return loss has no end. From memory. */
const DEEPEST_DB = 60;
/** More lines than this cannot be told apart on paper. */
const MOST = 240;

/** Return loss of a sweep, good downwards: where several samples share a place the worst is drawn. */
export function sweepDrawing({ name, frequencyHz, returnLossDb: sampled }: PrintedSweep): Block {
  const returnLossDb = Array.from(sampled, (db) => Math.min(db, DEEPEST_DB));
  const count = frequencyHz.length;
  const [low, high] = [frequencyHz[0], frequencyHz[count - 1]];
  const deepest = Math.max(10, Math.ceil(Math.max(...returnLossDb) / 10) * 10);
  const x = (hz: number): number => LEFT + ((hz - low) / Math.max(1, high - low)) * (TEXT_WIDTH_MM - LEFT);
  const y = (db: number): number => TOP + (Math.max(0, db) / deepest) * (BOTTOM - TOP);
  const share = Math.ceil(count / MOST);
  const points = Array.from({ length: Math.ceil(count / share) }, (_, k) => {
    const from = k * share;
    const to = Math.min(count, from + share);
    let worst = from;
    for (let n = from; n < to; n++) if (returnLossDb[n] < returnLossDb[worst]) worst = n;
    return { x: x(frequencyHz[worst]), y: y(returnLossDb[worst]) };
  });
  const worst = Math.min(...returnLossDb);
  const grid = Array.from({ length: deepest / 10 + 1 }, (_, k): Shape[] => [
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
      text: `${k * 10} dB`,
      ink: 'muted',
    },
  ]).flat();
  return {
    kind: 'drawing',
    heightMm: HEIGHT,
    shapes: [
      ...grid,
      ...points.slice(1).map((to, k): Shape => ({
        kind: 'line',
        x: points[k].x,
        y: points[k].y,
        toX: to.x,
        toY: to.y,
        stroke: 'ink',
        thick: 0.3,
        what: 'return loss',
      })),
      { kind: 'text', x: LEFT, y: BOTTOM + 1, width: 40, sizePt: 8, text: formatFrequency(low) },
      {
        kind: 'text',
        x: TEXT_WIDTH_MM - 24,
        y: BOTTOM + 1,
        width: 24,
        sizePt: 8,
        text: formatFrequency(high),
      },
      {
        kind: 'text',
        x: LEFT + 50,
        y: BOTTOM + 1,
        width: 90,
        sizePt: 8,
        text: `Return loss, ${name}`,
        ink: 'muted',
      },
    ],
    says: `Return loss from ${formatFrequency(low)} to ${formatFrequency(high)}, at worst ${worst.toFixed(1)} dB.`,
  };
}
