/** One step of impedance along a lossless line, at a one-way delay from the source, s. */
export interface Step {
  atS: number;
  /** Of the line behind it, ohm; Infinity for an open end, 0 for a short. */
  ohm: number;
}

/** An echo of a step of voltage: when it is back, how large and of which sign, and by what it was made. */
export interface LatticeEcho {
  atS: number;
  /** Share of the incident step; negative from a lower impedance. */
  size: number;
  /** How often it was reflected on its way: 1 is a first echo. */
  bounces: number;
}

/** Echoes smaller than this are not followed. */
const LEAST = 1e-4;
const MAX_BOUNCES = 7;

const gamma = (from: number, to: number): number => (to === Infinity ? 1 : (to - from) / (to + from));

/**
 * Lattice (bounce) diagram: every echo of a step that comes back to a matched source within a time, with its sign.
 *
 * @param sourceOhm impedance of the source and of the first line
 * Source: Bewley lattice diagram, texts on transients of lines.
 */
export function latticeEchoes(sourceOhm: number, steps: readonly Step[], withinS: number): LatticeEcho[] {
  const found: LatticeEcho[] = [];
  const ohmBefore = (k: number): number => (k === 0 ? sourceOhm : steps[k - 1].ohm);
  /** A wave on the line before step k (forward), or on it towards the source (backward). */
  const follow = (k: number, forward: boolean, size: number, atS: number, bounces: number): void => {
    if (Math.abs(size) < LEAST || bounces > MAX_BOUNCES || atS > withinS) return;
    if (forward) {
      if (k >= steps.length) return;
      const g = gamma(ohmBefore(k), steps[k].ohm);
      const hereS = atS + steps[k].atS - (k === 0 ? 0 : steps[k - 1].atS);
      follow(k, false, size * g, hereS, bounces + 1);
      if (Number.isFinite(steps[k].ohm) && steps[k].ohm > 0)
        follow(k + 1, true, size * (1 + g), hereS, bounces);
      return;
    }
    const backS = atS + steps[k].atS - (k === 0 ? 0 : steps[k - 1].atS);
    if (k === 0) {
      if (backS <= withinS && bounces > 0) found.push({ atS: backS, size, bounces });
      return;
    }
    const g = gamma(steps[k - 1].ohm, ohmBefore(k - 1));
    follow(k, true, size * g, backS, bounces + 1);
    follow(k - 1, false, size * (1 + g), backS, bounces);
  };
  follow(0, true, 1, 0, 0);
  return found.sort((x, y) => x.atS - y.atS);
}

/** Rise time of a step seen through a band, s: 0.35/B, added by squares (texts on oscilloscopes). */
export const riseTimeS = (bandwidthHz: number, ownS = 0): number => Math.hypot(0.35 / bandwidthHz, ownS);
