import { scaleLinear, type ScaleLinear } from 'd3';

export type RulerScale = ScaleLinear<number, number>;

/** Room at both ends of the ruler, px, for the labels of its ends. */
export const RULER_PAD = 14;

/** One scale for every drawing of a run: metres from the radio to px. */
export const rulerScale = (totalM: number, width: number): RulerScale =>
  scaleLinear()
    .domain([0, Math.max(totalM, 0.1)])
    .range([RULER_PAD, Math.max(width - RULER_PAD, RULER_PAD + 1)]);

/** Pixels of one millimetre. */
export const pxPerMm = (scale: RulerScale): number => (scale(1) - scale(0)) / 1000;

/** From here on faces are drawn at their true place and size, px per mm. */
export const TRUE_SIZE_PX_PER_MM = 0.7;
/** Nobody needs a millimetre larger than this, px. */
export const MAX_PX_PER_MM = 9;

/** Is a place within what the scale shows? */
export function inView(scale: RulerScale, metres: number): boolean {
  const [from, to] = scale.domain();
  return metres >= from - 1e-9 && metres <= to + 1e-9;
}
