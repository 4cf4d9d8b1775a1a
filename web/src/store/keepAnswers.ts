import type { QueryKey, QueryPersister } from '@tanstack/react-query';
import { Unreachable } from './client.js';
import type { AnswerStore } from './kept/answers.js';

/** A server which is there answers within this, ms; meanwhile what is kept is not shown, so that nothing changes under a thumb. */
const PATIENCE_MS = 2_500;

export interface AnswerPorts {
  store: AnswerStore;
  /** The shape of answers in this version of the program. */
  form: string;
  now: () => number;
  later: (ms: number, act: () => void) => () => void;
  /** An answer which came after all, when a kept one was shown already. */
  cameLate: (key: QueryKey, data: unknown) => void;
}

/** Meta of a question which is not for the server: what this device itself knows is not kept twice. */
export const ofThisDevice = { isOfThisDevice: true };

/**
 * Keeps every answer of the server, and gives the kept one when the server is away or does not answer in time: what was seen once is seen
 * without a server too. A refusal is a refusal: it is not hidden behind what stood before.
 */
export function keepAnswers({ store, form, now, later, cameLate }: AnswerPorts): QueryPersister {
  const persister = async (
    ask: (context: never) => unknown,
    context: { queryKey: QueryKey; meta?: Record<string, unknown> | undefined },
    query: { queryHash: string; state: { data: unknown } },
  ): Promise<unknown> => {
    const asked = Promise.resolve(ask(context as never));
    if (context.meta?.isOfThisDevice === true) return asked;
    const kept = asked.then((data) => {
      // A full store gives out what it has and takes no more: the page goes on.
      void store.put(query.queryHash, { form, at: now(), data }).catch(() => undefined);
      return data;
    });
    // Shown already: the screen says itself that it could not be read again.
    if (query.state.data !== undefined) return kept;
    const before = await store.get(query.queryHash).catch(() => undefined);
    if (before?.form !== form) return kept;
    let isLate = false;
    let inTime: () => void = () => undefined;
    const patience = new Promise<unknown>((resolve) => {
      inTime = later(PATIENCE_MS, () => {
        isLate = true;
        resolve(before.data);
      });
    });
    const answer = kept
      .then(
        (data) => {
          if (isLate) cameLate(context.queryKey, data);
          return data;
        },
        (error: unknown) => {
          if (error instanceof Unreachable) return before.data;
          throw error;
        },
      )
      .finally(() => inTime());
    return Promise.race([answer, patience]);
  };
  return persister;
}
