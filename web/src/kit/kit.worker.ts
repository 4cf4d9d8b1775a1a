import {
  catalog,
  coverKit,
  highsSolver,
  withShop,
  type KitAnswer,
  type KitLimits,
  type KitPairing,
  type KitProgress,
  type ShopEntry,
} from '@kobran/core';
import { expose } from 'comlink';
import loadHighs, { type Highs } from 'highs';
import wasmUrl from 'highs/runtime?url';

/** What the page is told while the kit is worked out. */
export type KitNews = KitProgress | { stage: 'proving'; found: number; bound: number };

const worker = {
  /** Works in a thread of its own, so that the page stays at hand; ending the worker cancels it. */
  async cover(
    pairings: readonly KitPairing[],
    own: readonly ShopEntry[],
    limits: KitLimits,
    tell: (news: KitNews) => void,
  ): Promise<KitAnswer> {
    const highs: Highs = await loadHighs({ locateFile: () => wasmUrl });
    const solve = highsSolver(highs, (found, bound) => tell({ stage: 'proving', found, bound }));
    return coverKit(pairings, withShop(catalog, own), limits, solve, tell);
  },
};

export type KitWorker = typeof worker;

expose(worker);
