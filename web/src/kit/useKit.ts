import type { KitAnswer, KitLimits, KitPairing, ShopEntry } from '@kobran/core';
import { proxy, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { KitNews, KitWorker } from './kit.worker.js';

export type KitState =
  | { kind: 'idle' }
  | { kind: 'working'; news: KitNews | undefined }
  | { kind: 'done'; answer: KitAnswer }
  | { kind: 'failed'; why: string };

export interface Kit {
  state: KitState;
  start: (pairings: readonly KitPairing[], own: readonly ShopEntry[], limits: KitLimits) => void;
  cancel: () => void;
}

/** Works a kit out in a worker; starting again or leaving ends the one before. */
export function useKit(): Kit {
  const [state, setState] = useState<KitState>({ kind: 'idle' });
  const running = useRef<Worker>(undefined);
  const end = useCallback(() => {
    running.current?.terminate();
    running.current = undefined;
  }, []);
  useEffect(() => end, [end]);
  const cancel = useCallback(() => {
    end();
    setState({ kind: 'idle' });
  }, [end]);
  const start = useCallback(
    (pairings: readonly KitPairing[], own: readonly ShopEntry[], limits: KitLimits) => {
      end();
      const worker = new Worker(new URL('./kit.worker.ts', import.meta.url), { type: 'module' });
      running.current = worker;
      setState({ kind: 'working', news: undefined });
      const tell = (news: KitNews): void => {
        if (running.current === worker) setState({ kind: 'working', news });
      };
      worker.addEventListener('error', ({ message }) =>
        setState({ kind: 'failed', why: message || 'its script did not load' }),
      );
      wrap<KitWorker>(worker)
        .cover(pairings, own, limits, proxy(tell))
        .then((answer) => {
          if (running.current !== worker) return;
          end();
          setState({ kind: 'done', answer });
        })
        .catch((error: unknown) => {
          if (running.current === worker) setState({ kind: 'failed', why: String(error) });
        });
    },
    [end],
  );
  return { state, start, cancel };
}
