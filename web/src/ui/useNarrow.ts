import { useSyncExternalStore } from 'react';

/** Where the style sheet’s `sm` begins. */
const query = matchMedia('(width < 40rem)');

function subscribe(changed: () => void): () => void {
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Is this a phone’s width? */
export const useNarrow = (): boolean => useSyncExternalStore(subscribe, () => query.matches);
