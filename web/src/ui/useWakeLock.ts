import { useEffect } from 'react';

/** Keeps the screen lit while the card is open, where the browser can; again when the page comes back into view. */
export function useWakeLock(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const take = (): void => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (taken) => {
          if (over) void taken.release();
          else lock = taken;
        },
        // A low battery or a policy refuses it: the card works all the same, the screen only dims.
        () => undefined,
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
}
