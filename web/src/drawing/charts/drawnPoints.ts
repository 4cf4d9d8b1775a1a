/**
 * Which points of a curve are drawn: of those that fall on one column of the screen the first, the last, the lowest and the highest. The line
 * through them covers the same pixels as one through all (Jugel et al., “M4: A Visualization-Oriented Time Series Data Aggregation”, VLDB 2014).
 *
 * @param values of the curve; what is no number makes a gap, and one of it is kept for that
 * @param columnOf the column of a point, px, ascending
 * @returns their places in `values`, ascending
 */
export function drawnPoints(values: ArrayLike<number>, columnOf: (k: number) => number): number[] {
  const drawn: number[] = [];
  for (let from = 0; from < values.length;) {
    const column = Math.floor(columnOf(from));
    let [low, high, gap, last] = [from, from, -1, from];
    for (let k = from; k < values.length && Math.floor(columnOf(k)) === column; k++) {
      last = k;
      if (!Number.isFinite(values[k])) gap = k;
      else {
        if (!(values[k] >= values[low])) low = k;
        if (!(values[k] <= values[high])) high = k;
      }
    }
    const kept = new Set([from, low, high, last, ...(gap < 0 ? [] : [gap])]);
    drawn.push(...[...kept].toSorted((a, b) => a - b));
    from = last + 1;
  }
  return drawn;
}
