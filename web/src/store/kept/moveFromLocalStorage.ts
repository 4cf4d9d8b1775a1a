import { upgradedFact } from '@kobran/contract';
import type { Keeper } from './keeper.js';
import { moveOldStore } from './moveOldStore.js';

/** Moves what an older version kept in this browser: a script of its own, fetched only where there is something. */
export const moveFromLocalStorage = (keeper: Keeper): Promise<void> =>
  moveOldStore(localStorage, keeper, upgradedFact, new Date().toISOString());
