/** Loss as people have it: so many dB per 100 m at a frequency. */
export interface LossPoint {
  frequencyHz: number;
  dbPer100M: number;
}

/** A law fitted to such figures. */
export interface FittedLaw {
  k1: number;
  k2: number;
  /** Largest deviation of a figure from the law, as a share of it. */
  residual: number;
}

/**
 * Fits k1·√f + k2·f (f in MHz) to figures of a sheet, each weighed by its own size, neither constant below zero.
 *
 * @returns nothing without two different frequencies
 * Source: attenuation law of MIL-DTL-17 sheets; weighted least squares.
 */
export function fitLossLaw(points: readonly LossPoint[]): FittedLaw | undefined {
  const rows = points
    .filter(({ frequencyHz, dbPer100M }) => frequencyHz > 0 && dbPer100M > 0)
    .map(({ frequencyHz, dbPer100M }) => {
      const mhz = frequencyHz / 1e6;
      return { x: Math.sqrt(mhz) / dbPer100M, y: mhz / dbPer100M };
    });
  if (new Set(points.map(({ frequencyHz }) => frequencyHz)).size < 2 || rows.length < 2) return undefined;
  const sum = (of: (row: (typeof rows)[number]) => number): number =>
    rows.reduce((total, row) => total + of(row), 0);
  const [xx, xy, yy, x, y] = [
    sum((r) => r.x * r.x),
    sum((r) => r.x * r.y),
    sum((r) => r.y * r.y),
    sum((r) => r.x),
    sum((r) => r.y),
  ];
  const det = xx * yy - xy * xy;
  let [k1, k2] = [(x * yy - y * xy) / det, (y * xx - x * xy) / det];
  if (k2 < 0) [k1, k2] = [x / xx, 0];
  else if (k1 < 0) [k1, k2] = [0, y / yy];
  const residual = Math.max(...rows.map((row) => Math.abs(k1 * row.x + k2 * row.y - 1)));
  return { k1, k2, residual };
}
