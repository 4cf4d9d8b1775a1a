import { useEffect } from 'react';
import { toast } from 'sonner';

/** So long a page stays open, a new version is looked for this often, ms. */
const LOOK_MS = 60 * 60 * 1000;
const HERE = 'new version';

/**
 * Keeps the program on this device, and says when a newer one lies ready. It is never put under somebody’s hands: it comes when it is asked
 * for, or when every page was closed.
 */
export function NewVersion(): null {
  useEffect(() => {
    if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
    let timer: ReturnType<typeof setInterval> | undefined;
    void import('virtual:pwa-register').then(({ registerSW }) => {
      let isWanted = false;
      const load = registerSW({
        onNeedRefresh: () =>
          void toast('A new version of Kobran is here.', {
            id: HERE,
            description: 'What you are doing is kept. Load it when it suits you.',
            duration: Infinity,
            closeButton: true,
            action: {
              label: 'Load it',
              onClick: () => {
                isWanted = true;
                void load();
              },
            },
          }),
        // Taken in another window: this one may be in the middle of a card.
        onNeedReload: () => {
          if (isWanted) location.reload();
          else
            toast('Another window has loaded the new version.', {
              id: HERE,
              description: 'What you are doing is kept. Load it here too when it suits you.',
              duration: Infinity,
              closeButton: true,
              action: { label: 'Load it', onClick: () => location.reload() },
            });
        },
        onRegisteredSW: (_, registration) => {
          timer = setInterval(() => void registration?.update().catch(() => undefined), LOOK_MS);
        },
      });
    });
    return () => clearInterval(timer);
  }, []);
  return null;
}
