import type { Cable } from '../../catalog/index.js';
import { figure, type Figure } from '../../quantity/index.js';
import { GRAVITY, pullLimit, weightNPerM } from './pull.js';

/** Density of glaze ice, kg/m³. From memory. */
const ICE_KG_PER_M3 = 900;

/** How far a span hangs down where nobody says it, of its length. Common practice, no source. */
export const USUAL_SAG = 0.03;

/** Weight of a cable with ice of this radial thickness, N/m. */
export function icedWeightNPerM(cable: Pick<Cable, 'massKgPerKm' | 'jacketMm'>, iceMm: number): number {
  const bare = cable.jacketMm / 2000;
  const iced = bare + iceMm / 1000;
  return weightNPerM(cable) + Math.PI * (iced ** 2 - bare ** 2) * ICE_KG_PER_M3 * GRAVITY;
}

/** A cable that hangs for years bears a third of what it may be pulled with for an hour, and is easy at a quarter. Common practice, no source. */
const SPAN_SHARE = 1 / 3;
export const EASY_SHARE = 3 / 4;

/** What a cable bears for good in a span. */
export function spanLimit(cable: Cable): Figure {
  const { value, source } = pullLimit(cable);
  return figure(value * SPAN_SHARE, 'N', `a third of its limit of pull (${source}), since it hangs for good`);
}

/**
 * Tension of a span at its supports: w·L²/(8·sag) along, w·sag more where it hangs (parabola).
 *
 * @param weight N/m
 * @param spanM between the supports
 * @param sagM how far it hangs down in the middle
 */
export function spanTension(weight: number, spanM: number, sagM: number): Figure {
  const tension = (weight * spanM ** 2) / (8 * sagM) + weight * sagM;
  return figure(tension, 'N', 'w·L²/(8·sag), parabola', 0.1 * tension);
}
