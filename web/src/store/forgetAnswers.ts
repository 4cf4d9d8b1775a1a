import type { QueryClient } from '@tanstack/react-query';
import { IndexedAnswers } from './kept/answers.js';
import type { Keeper } from './kept/keeper.js';
import { keptSiteKey } from './kept/keys.js';
import { keptSites } from './keepSite.js';

/** Forgets what this device has read from the server; what waits to be sent stays. */
export async function forgetAnswers(queries: QueryClient, keeper: Keeper): Promise<void> {
  await new IndexedAnswers().forgetAll();
  for (const { jobId } of await keptSites(keeper)) await keeper.remove(keptSiteKey(jobId));
  // Not in a page which the browser does not trust.
  if ('caches' in globalThis) await caches.delete('pictures');
  await queries.invalidateQueries();
}
