import { factsOf, newest } from './facts.js';
import type { FactOf, Facts } from './kinds.js';

/** What is known of the gas tube in one arrester. */
export interface TubeHistory {
  /** When it was looked at last. */
  last: FactOf<'tube checked'> | undefined;
  /** Strikes near by which this tube has seen. */
  strikes: number;
  /** It was found damaged, and no new one went in. */
  damaged: boolean;
}

/** A new tube begins anew: what was before it was another tube’s. */
export function tubeHistory(facts: Facts, pieceId: string): TubeHistory {
  const all = factsOf(facts, 'tube checked')
    .filter((one) => one.pieceId === pieceId)
    .toSorted((x, y) => (x.at < y.at ? -1 : 1));
  const last = newest(all);
  const since = all.slice(all.findLastIndex(({ newV }) => newV !== undefined) + 1);
  return {
    last,
    strikes: since.filter(({ reason }) => reason === 'after a strike near by').length,
    damaged: last !== undefined && last.found === 'damaged' && last.newV === undefined,
  };
}
