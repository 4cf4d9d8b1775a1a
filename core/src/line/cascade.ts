import type { Abcd, Element } from './element.js';
import {
  append,
  CHUNK,
  eachOf,
  emptyPlane,
  evenStep,
  touchesOf,
  writeNothing,
  writeOver,
  type Touches,
} from './planes.js';

const pool: Float64Array[] = [];

/** Arrays to work in, taken again by the next cascade: one is done with before another begins, and nothing is expected in them. */
function scratch(count: number): Float64Array[] {
  while (pool.length < count) pool.push(emptyPlane());
  return pool.slice(0, count);
}

/**
 * The chain matrix of a cascade at every frequency, one after the other in the same array.
 *
 * The joints of a run are a few kinds over and over: each kind, and each pair of neighbours which comes more than once, is worked out once
 * for each frequency.
 */
export function cascadeOver(
  elements: readonly Element[],
  frequenciesHz: Float64Array,
  each: (total: Abcd, k: number) => void,
): void {
  const kinds = [...new Set(elements)];
  const written = elements.map((element) => kinds.indexOf(element));
  const { order, pairs } =
    frequenciesHz.length < CHUNK ? { order: written, pairs: [] } : inPairs(written, kinds.length);
  const touches = [...kinds.map(touchesOf), ...pairs.map((): Touches => 'all')];
  const [running, ...planes] = scratch(1 + touches.length);
  for (let from = 0; from < frequenciesHz.length; from += CHUNK) {
    const hz = frequenciesHz.subarray(from, from + CHUNK);
    const stepHz = evenStep(hz);
    kinds.forEach((kind, j) => writeOver(kind, hz, stepHz, planes[j]));
    pairs.forEach(([left, right], j) => {
      const both = planes[kinds.length + j];
      both.set(planes[left]);
      append(both, touches[right], planes[right], hz.length);
    });
    writeNothing(running, hz.length);
    for (const j of order) append(running, touches[j], planes[j], hz.length);
    eachOf(running, hz.length, (total, k) => each(total, from + k));
  }
}

/**
 * Takes neighbours which come together more than once for one, until there are none.
 *
 * @param written kinds in their order, as numbers below `count`
 * @returns the order in kinds and pairs, and the pairs: numbered on from `count`, each of kinds or of pairs before it
 */
function inPairs(written: readonly number[], count: number): { order: number[]; pairs: [number, number][] } {
  const pairs: [number, number][] = [];
  let order = [...written];
  for (let pair = mostFrequent(order); pair; pair = mostFrequent(order)) {
    const [left, right] = pair;
    const both = count + pairs.push(pair) - 1;
    const shorter: number[] = [];
    for (let k = 0; k < order.length; k++)
      if (order[k] === left && order[k + 1] === right) {
        shorter.push(both);
        k += 1;
      } else shorter.push(order[k]);
    order = shorter;
  }
  return { order, pairs };
}

/** The neighbours which come together most often, if more than once. */
function mostFrequent(order: readonly number[]): [number, number] | undefined {
  const counts = new Map<number, { times: number; last: number; pair: [number, number] }>();
  let best: { times: number; pair: [number, number] } | undefined;
  for (let k = 1; k < order.length; k++) {
    const key = order[k - 1] * 65_536 + order[k];
    const known = counts.get(key);
    // Of three alike in a row the middle one is in one pair only.
    if (known && known.last < k - 1) {
      known.times += 1;
      known.last = k;
      if (known.times > (best?.times ?? 1)) best = known;
    } else if (!known) counts.set(key, { times: 1, last: k, pair: [order[k - 1], order[k]] });
  }
  return best?.pair;
}
