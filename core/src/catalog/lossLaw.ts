/** Loss as people have it: so many dB per 100 m at a frequency. */
export interface LossPoint {
  frequencyHz: number;
  dbPer100M: number;
}

/** By how much the worst of the figures lies beside k1·√f + k2·f, as a share of it. */
export const lawMisses = (points: readonly LossPoint[], { k1, k2 }: { k1: number; k2: number }): number =>
  Math.max(
    0,
    ...points.map(({ frequencyHz, dbPer100M }) => {
      const mhz = frequencyHz / 1e6;
      return Math.abs((k1 * Math.sqrt(mhz) + k2 * mhz) / dbPer100M - 1);
    }),
  );

/** A law fitted to such figures. */
export interface FittedLaw {
  k1: number;
  k2: number;
  /** Largest deviation of a figure from the law, as a share of it. */
  residual: number;
  /** The figure which lies furthest beside it. */
  worst: LossPoint;
  /** A sheet meets its own law better than this: one of the figures is misread. */
  isSuspect: boolean;
}

/** The law has to meet the figures of its own sheet this well, as a share. Common practice, no source. */
const SUSPECT = 0.1;

/**
 * Fits k1·√f + k2·f (f in MHz) to figures of a sheet, each weighed by its own size, neither constant below zero.
 *
 * @param points frequencies and losses above zero
 * @returns nothing without two different frequencies
 * Source: attenuation law of MIL-DTL-17 sheets; weighted least squares.
 */
export function fitLossLaw(points: readonly LossPoint[]): FittedLaw | undefined {
  if (new Set(points.map(({ frequencyHz }) => frequencyHz)).size < 2) return undefined;
  const rows = points.map(({ frequencyHz, dbPer100M }) => {
    const mhz = frequencyHz / 1e6;
    return { x: Math.sqrt(mhz) / dbPer100M, y: mhz / dbPer100M };
  });
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
  const law = { k1, k2 };
  const residual = lawMisses(points, law);
  const worst = points.reduce((one, other) =>
    lawMisses([other], law) > lawMisses([one], law) ? other : one,
  );
  return { ...law, residual, worst, isSuspect: residual > SUSPECT };
}
