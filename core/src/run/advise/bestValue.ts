/**
 * What is worth its size: the least of price (or thickness) among those which lose no more than the middle between what the cheapest and the best
 * lose. One rule for *New run* and *Compare*. Common practice, no source.
 *
 * @param rows what has nothing against it
 * @returns nothing of none
 */
export function bestValue<Row>(
  rows: readonly Row[],
  priceOf: (row: Row) => number,
  lossDb: (row: Row) => number,
): Row | undefined {
  const least = (by: (row: Row) => number, of: readonly Row[]): Row | undefined =>
    of.reduce<Row | undefined>((best, row) => (best && by(best) <= by(row) + 1e-9 ? best : row), undefined);
  const cheap = least(priceOf, rows);
  const quiet = least(lossDb, rows);
  if (!cheap || !quiet) return undefined;
  const half = (lossDb(cheap) + lossDb(quiet)) / 2;
  return least(
    priceOf,
    rows.filter((row) => lossDb(row) <= half + 1e-9),
  );
}
