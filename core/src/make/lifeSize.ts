import { fail, ok, type Result } from '../quantity/index.js';

/** An identity or bank card, mm. ISO/IEC 7810, ID-1. */
export const ID1_CARD_MM = { width: 85.6, height: 53.98 };

/** Screens have between these many pixels to the millimetre; beyond it something else than a card was held up. */
const LEAST_PX_PER_MM = 1.5;
const MAX_PX_PER_MM = 20;

/** How large this screen draws. */
export interface ScreenScale {
  /** CSS pixels to the millimetre when it was calibrated. */
  pxPerMm: number;
  /** Device pixels to the CSS pixel at that moment: the browser's zoom is in it. */
  pixelRatio: number;
}

/**
 * The scale of a screen from the outline which just covers an ID-1 card.
 *
 * @param longSidePx long side of the outline, CSS px
 * @returns the scale, or what is wrong with it
 */
export function scaleFromCard(longSidePx: number, pixelRatio: number): Result<ScreenScale> {
  const pxPerMm = longSidePx / ID1_CARD_MM.width;
  if (!(pxPerMm >= LEAST_PX_PER_MM && pxPerMm <= MAX_PX_PER_MM))
    return fail(
      'screen.no-card',
      `That would be ${pxPerMm.toFixed(1)} pixels to the millimetre, which no screen has.`,
      'the outline',
      'Make the outline as large as a bank card held against the screen.',
    );
  return ok({ pxPerMm, pixelRatio });
}

/**
 * CSS pixels to the millimetre now: a zoomed page has larger CSS pixels.
 *
 * @param pixelRatio device pixels to the CSS pixel now
 */
export const pxPerMmNow = ({ pxPerMm, pixelRatio }: ScreenScale, nowRatio: number): number =>
  (pxPerMm * pixelRatio) / nowRatio;
