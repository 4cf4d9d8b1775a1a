import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Background } from './background.worker.js';
import { openBackground } from './openBackground.js';

/** How a long computation is; `News` is told while it works. */
export type Work<News, Answer> =
  | { kind: 'idle' }
  | { kind: 'working'; news: News | undefined }
  | { kind: 'done'; answer: Answer }
  | { kind: 'failed'; why: string };

export interface BackgroundWork<News, Answer, Wish> {
  state: Work<News, Answer>;
  start: (wish: Wish) => void;
  cancel: () => void;
}

/** Asks the worker, and gives it a way to tell its news. */
export type Job<News, Answer, Wish> = (
  worker: Remote<Background>,
  wish: Wish,
  tell: (news: News) => void,
) => Promise<Answer>;

/**
 * Works something out beside the page, with progress and a way to stop it.
 *
 * Starting again ends what is under way; leaving the screen ends it too. A worker with nothing to do waits for the next wish.
 */
export function useBackground<News, Answer, Wish>(
  job: Job<News, Answer, Wish>,
): BackgroundWork<News, Answer, Wish> {
  const [state, setState] = useState<Work<News, Answer>>({ kind: 'idle' });
  const worker = useRef<Worker>(undefined);
  const busy = useRef(false);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
    busy.current = false;
  }, []);
  useEffect(() => end, [end]);
  const cancel = useCallback(() => {
    end();
    setState({ kind: 'idle' });
  }, [end]);
  const start = useCallback(
    (wish: Wish) => {
      if (busy.current) end();
      const mine = (worker.current ??= openBackground());
      busy.current = true;
      setState({ kind: 'working', news: undefined });
      const settle = (outcome: Work<News, Answer>): void => {
        if (worker.current !== mine || !busy.current) return;
        busy.current = false;
        setState(outcome);
      };
      const tell = (news: News): void => {
        if (worker.current === mine && busy.current) setState({ kind: 'working', news });
      };
      mine.onerror = ({ message }) => {
        settle({ kind: 'failed', why: message || 'its script did not load' });
        if (worker.current === mine) end();
      };
      job(wrap<Background>(mine), wish, proxy(tell)).then(
        (answer) => settle({ kind: 'done', answer }),
        (error: unknown) => settle({ kind: 'failed', why: String(error) }),
      );
    },
    [end, job],
  );
  return { state, start, cancel };
}
