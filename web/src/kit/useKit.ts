import type { KitAnswer, KitLimits, KitPairing, ShopEntry } from '@kobran/core';
import { useSolving, type Solver, type Solving } from '../solving/useSolving.js';
import type { KitNews, KitWorker } from './kit.worker.js';

export type KitState = Solving<KitNews, KitAnswer>;

interface KitWish {
  pairings: readonly KitPairing[];
  own: readonly ShopEntry[];
  limits: KitLimits;
}

const open = (): Worker => new Worker(new URL('./kit.worker.ts', import.meta.url), { type: 'module' });

const cover: Parameters<typeof useSolving<KitWorker, KitNews, KitAnswer, KitWish>>[1] = (
  worker,
  { pairings, own, limits },
  tell,
) => worker.cover(pairings, own, limits, tell);

/** Works a kit out in a worker. */
export const useKit = (): Solver<KitNews, KitAnswer, KitWish> =>
  useSolving<KitWorker, KitNews, KitAnswer, KitWish>(open, cover);
