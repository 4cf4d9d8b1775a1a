import type { KitAnswer, KitLimits, KitPairing, ShopEntry } from '@kobran/core';
import { useSolving, type Solver, type Solving } from './useSolving.js';
import type { KitNews } from './kitWork.js';

export type KitState = Solving<KitNews, KitAnswer>;

interface KitWish {
  pairings: readonly KitPairing[];
  own: readonly ShopEntry[];
  limits: KitLimits;
}

const cover: Parameters<typeof useSolving<KitNews, KitAnswer, KitWish>>[0] = (
  worker,
  { pairings, own, limits },
  tell,
) => worker.cover(pairings, own, limits, tell);

/** Works a kit out in a worker. */
export const useKit = (): Solver<KitNews, KitAnswer, KitWish> =>
  useSolving<KitNews, KitAnswer, KitWish>(cover);
