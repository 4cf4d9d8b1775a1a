import { describe, expect, it } from 'vitest';
import { ID1_CARD_MM, pxPerMmNow, scaleFromCard } from './index.js';

describe('a screen calibrated against a card', () => {
  // ISO/IEC 7810, ID-1: 85.60 x 53.98 mm.
  it('knows the card', () => expect(ID1_CARD_MM).toEqual({ width: 85.6, height: 53.98 }));

  it('a card 323.5 px long is a screen of 96 px to the inch (CSS 2.1, 4.3.2)', () => {
    const scale = scaleFromCard((85.6 * 96) / 25.4, 1);
    expect(scale.ok && scale.value.pxPerMm).toBeCloseTo(96 / 25.4, 12);
  });

  it('a page zoomed to 200 % has half as many of its pixels to the millimetre', () =>
    expect(pxPerMmNow({ pxPerMm: 4, pixelRatio: 1 }, 2)).toBe(2));

  it.each([0, -300, 20, 5000, NaN])('an outline of %d px is refused with what to do', (px) => {
    const scale = scaleFromCard(px, 1);
    expect(!scale.ok && scale.problem.remedy).toContain('bank card');
  });
});
