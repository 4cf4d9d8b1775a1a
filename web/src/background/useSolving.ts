import { proxy, wrap, type Remote } from 'comlink';
import { openBackground } from './openBackground.js';
import type { Background } from './background.worker.js';
import { useCallback, useEffect, useRef, useState } from 'react';

/** How a long computation stands; `News` is told while it works. */
export type Solving<News, Answer> =
  | { kind: 'idle' }
  | { kind: 'working'; news: News | undefined }
  | { kind: 'done'; answer: Answer }
  | { kind: 'failed'; why: string };

export interface Solver<News, Answer, Wish> {
  state: Solving<News, Answer>;
  start: (wish: Wish) => void;
  cancel: () => void;
}

/**
 * Works something out in a worker of its own; starting again or leaving ends the one before.
 *
 * @param solve asks it, and gives it a way to tell its news
 */
export function useSolving<News, Answer, Wish>(
  solve: (worker: Remote<Background>, wish: Wish, tell: (news: News) => void) => Promise<Answer>,
): Solver<News, Answer, Wish> {
  const [state, setState] = useState<Solving<News, Answer>>({ kind: 'idle' });
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
    (wish: Wish) => {
      end();
      const worker = openBackground();
      running.current = worker;
      setState({ kind: 'working', news: undefined });
      const tell = (news: News): void => {
        if (running.current === worker) setState({ kind: 'working', news });
      };
      worker.addEventListener('error', ({ message }) =>
        setState({ kind: 'failed', why: message || 'its script did not load' }),
      );
      solve(wrap<Background>(worker), wish, proxy(tell))
        .then((answer) => {
          if (running.current !== worker) return;
          end();
          setState({ kind: 'done', answer });
        })
        .catch((error: unknown) => {
          if (running.current === worker) setState({ kind: 'failed', why: String(error) });
        });
    },
    [end, solve],
  );
  return { state, start, cancel };
}
