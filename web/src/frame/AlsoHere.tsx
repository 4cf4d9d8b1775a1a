import { useSyncExternalStore, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { useDevice } from '../store/Device.js';
import { besideMe } from '../store/presence.js';

/** Who else is at the same run or site just now, quietly. */
export function AlsoHere(): ReactNode {
  const { presence } = useDevice();
  const { pathname } = useLocation();
  const names = besideMe(useSyncExternalStore(presence.subscribe, presence.snapshot), pathname);
  if (names.length === 0) return null;
  return <p className="hidden text-sm text-muted sm:block">Also here: {names.join(', ')}</p>;
}
