import type { KitAnswer, KitLimits, KitPairing, ShopEntry } from '@kobran/core';
import { useBackground, type BackgroundWork, type Job, type Work } from './useBackground.js';
import type { KitNews } from './kitWork.js';

export type KitState = Work<KitNews, KitAnswer>;

interface KitWish {
  pairings: readonly KitPairing[];
  own: readonly ShopEntry[];
  limits: KitLimits;
}

const cover: Job<KitNews, KitAnswer, KitWish> = (worker, { pairings, own, limits }, tell) =>
  worker.cover(pairings, own, limits, tell);

/** Works a kit out in a worker. */
export const useKit = (): BackgroundWork<KitNews, KitAnswer, KitWish> => useBackground(cover);
