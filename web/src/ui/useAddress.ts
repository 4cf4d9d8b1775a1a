import { useMemo, useSyncExternalStore } from 'react';
import { useLocation, useNavigate } from 'react-router';

const hearers = new Set<() => void>();

function listen(hear: () => void): () => void {
  hearers.add(hear);
  window.addEventListener('popstate', hear);
  return () => {
    hearers.delete(hear);
    window.removeEventListener('popstate', hear);
  };
}

/** What shall stand in the address under a name; nothing or an empty word takes the name away. */
export type AddressChange = Record<string, string | undefined>;

/**
 * What this screen's address says after its question mark, and how to change it in place.
 *
 * It is the address itself which is read. The router hands on a change when it has time, and a letter or
 * a click before that would be held against what stood before and be lost.
 */
export function useAddress(): [URLSearchParams, (change: AddressChange) => void] {
  const { pathname, search } = useLocation();
  const navigate = useNavigate();
  // On the way to another screen this one goes on as it was.
  const stands = useSyncExternalStore(listen, () =>
    window.location.pathname === pathname ? window.location.search : search,
  );
  const params = useMemo(() => new URLSearchParams(stands), [stands]);
  const change = (to: AddressChange): void => {
    const after = new URLSearchParams(window.location.search);
    for (const [name, value] of Object.entries(to))
      if (value) after.set(name, value);
      else after.delete(name);
    void navigate({ search: after.toString() }, { replace: true });
    for (const hear of hearers) hear();
  };
  return [params, change];
}
