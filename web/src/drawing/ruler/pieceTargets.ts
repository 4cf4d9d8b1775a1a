import type { PieceSheet } from '@kobran/core';
import type { RulerScale } from './scale.js';

/** WCAG 2.2, target size (minimum): 24 px, not overlapping. */
const LEAST_PX = 24;

/** Where each piece can be pressed, px: its own place on the ruler, widened where it is short, its neighbours giving way. */
export function pieceTargets(
  pieces: readonly Pick<PieceSheet, 'fromM' | 'toM'>[],
  scale: RulerScale,
): { left: number; width: number }[] {
  const wished = pieces.map(({ fromM, toM }) => {
    const middle = (scale(fromM) + scale(toM)) / 2;
    const half = Math.max(scale(toM) - scale(fromM), LEAST_PX) / 2;
    return { left: middle - half, right: middle + half, short: half * 2 <= LEAST_PX };
  });
  let free = -Infinity;
  return wished.map(({ left, right, short }, k) => {
    const from = Math.max(left, free);
    const next = wished.at(k + 1);
    const until = short
      ? from + LEAST_PX
      : Math.max(next?.short ? Math.min(right, next.left) : right, from + LEAST_PX);
    free = until;
    return { left: from, width: until - from };
  });
}
