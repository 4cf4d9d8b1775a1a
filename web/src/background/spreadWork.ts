import { catalog, spreadOf, withShop, type Design, type RunSpread, type ShopEntry } from '@kobran/core';

export const spreadWork = {
  /** Builds a run many times within its tolerances, in a thread of its own. */
  spread: (design: Design, own: readonly ShopEntry[], draws: number, seed: number): RunSpread =>
    spreadOf(design, withShop(catalog, own), draws, seed),
};
