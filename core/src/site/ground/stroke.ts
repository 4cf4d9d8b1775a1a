import type { LightningLevel } from '../document/ground.js';

/** One stroke: its peak and the time in which it rises. */
export interface Stroke {
  peakA: number;
  riseS: number;
}

/** First (10/350 µs) and subsequent (0.25/100 µs) strokes by protection level. IEC 62305-1, table 3, from memory. */
const PEAKS_KA: Record<LightningLevel, readonly [first: number, subsequent: number]> = {
  I: [200, 50],
  II: [150, 37.5],
  III: [100, 25],
  IV: [100, 25],
};

export const firstStroke = (level: LightningLevel): Stroke => ({
  peakA: PEAKS_KA[level][0] * 1000,
  riseS: 10e-6,
});

export const subsequentStroke = (level: LightningLevel): Stroke => ({
  peakA: PEAKS_KA[level][1] * 1000,
  riseS: 0.25e-6,
});

/** Volts along a conductor while a share of a stroke rises in it: R·I + L·I/t. */
export const strokeVolts = (uh: number, ohm: number, share: number, { peakA, riseS }: Stroke): number =>
  share * peakA * (ohm + (uh * 1e-6) / riseS);
