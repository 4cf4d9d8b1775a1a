import {
  catalog,
  coverKit,
  withShop,
  type KitAnswer,
  type KitLimits,
  type KitPairing,
  type KitProgress,
  type ShopEntry,
} from '@kobran/core';
import { loadSolver, type Proving } from './loadSolver.js';

/** What the page is told while the kit is worked out. */
export type KitNews = KitProgress | ({ stage: 'proving' } & Proving);

export const kitWork = {
  /** Works in a thread of its own, so that the page stays at hand; ending the worker cancels it. */
  async cover(
    pairings: readonly KitPairing[],
    own: readonly ShopEntry[],
    limits: KitLimits,
    tell: (news: KitNews) => void,
  ): Promise<KitAnswer> {
    const solve = await loadSolver((proving) => tell({ stage: 'proving', ...proving }));
    return coverKit(pairings, withShop(catalog, own), limits, solve, tell);
  },
};
