import { allowed, lotKey, spanMm, type Counts, type PieceGroup } from './grouping.js';
import type { Source, Span } from './stock.js';

const order: Record<Source, number> = { offcut: 0, reel: 1, 'to buy': 2 };

/**
 * A plan as a careful hand makes it: sets first, then the longest pieces, each from the shortest stretch that holds it, offcuts before reels.
 *
 * @returns nothing when a piece finds no place
 */
export function greedyPlan(groups: readonly PieceGroup[], spans: readonly Span[]): Counts | undefined {
  const counts: Counts = groups.map(() => spans.map(() => 0));
  const left = spans.map(spanMm);
  const sets = [...new Set(groups.map(({ set }) => set).filter((set) => set !== ''))];
  const indices = groups.map((_, t) => t);
  const place = (of: readonly number[], within: (b: number) => boolean): boolean => {
    for (const t of of)
      for (const _ of groups[t].pieces) {
        const b = bestSpan(groups[t], within);
        if (b === undefined) return false;
        counts[t][b]++;
        left[b] -= groups[t].lengthMm;
      }
    return true;
  };
  const bestSpan = (group: PieceGroup, within: (b: number) => boolean): number | undefined =>
    spans
      .map((_, b) => b)
      .filter((b) => within(b) && allowed(group, spans[b]) && left[b] >= group.lengthMm)
      .sort((x, y) => order[spans[x].source] - order[spans[y].source] || left[x] - left[y])
      .at(0);
  for (const set of sets) {
    const mine = indices.filter((t) => groups[t].set === set);
    const lots = [...new Set(spans.map(lotKey))].sort((x, y) => bestSource(x) - bestSource(y));
    const fits = lots.some((lot) => {
      const [keptLeft, keptCounts] = [[...left], mine.map((t) => [...counts[t]])];
      if (place(mine, (b) => lotKey(spans[b], b) === lot)) return true;
      left.splice(0, left.length, ...keptLeft);
      mine.forEach((t, k) => (counts[t] = keptCounts[k]));
      return false;
    });
    if (!fits) return undefined;
  }
  function bestSource(lot: string): number {
    return Math.min(...spans.map((span, b) => (lotKey(span, b) === lot ? order[span.source] : 3)));
  }
  return place(
    indices.filter((t) => groups[t].set === ''),
    () => true,
  )
    ? counts
    : undefined;
}
