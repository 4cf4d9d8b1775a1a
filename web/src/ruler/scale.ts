import { scaleLinear, type ScaleLinear } from 'd3';

export type RulerScale = ScaleLinear<number, number>;

/** Room at both ends of the ruler, px, for the labels of its ends. */
export const RULER_PAD = 14;

/** One scale for every drawing of a run: metres from the radio to px. */
export const rulerScale = (totalM: number, width: number): RulerScale =>
  scaleLinear()
    .domain([0, Math.max(totalM, 0.1)])
    .range([RULER_PAD, Math.max(width - RULER_PAD, RULER_PAD + 1)]);
