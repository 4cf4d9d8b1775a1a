import type { Problem, ShopEntry } from '@kobran/core';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import type { Piscina } from 'piscina';
import type { PackedTrace, ReadJob, ReadRun } from './readJobFile.js';

/** What the thread is told: a piece of the file, its end, that it was cut off, or to give the next sweep. */
export type ToReader = Uint8Array | 'end' | 'cut off' | 'next';

/** A file without its sweeps, which come one by one afterwards. */
export interface JobHead {
  ok: true;
  head: Omit<ReadJob, 'runs'>;
  runs: (Omit<ReadRun, 'traces'> & { sweeps: number })[];
}

/** What the thread says. */
export type FromReader = 'more' | { ok: false; problems: Problem[] } | JobHead | PackedTrace;

/** A file which was read: its head, and its sweeps in the order of its runs, each when it is asked for. */
export type ReadFile = { ok: false; problems: Problem[] } | (JobHead & { sweep: () => Promise<PackedTrace> });

/**
 * Reads a job file in a thread, as fast as it comes, and lets `put` put it in.
 *
 * @throws when the upload ends before the file does
 */
export async function readInBackground<T>(
  threads: Piscina,
  chunks: AsyncIterable<Uint8Array>,
  shop: readonly ShopEntry[],
  put: (read: ReadFile) => Promise<T>,
): Promise<T> {
  const { port1: here, port2: there } = new MessageChannel();
  const task = threads.run({ port: there, shop }, { transferList: [there] }) as Promise<void>;
  // A failure of the thread is told to who waits for its next word.
  const failed = task.then(() => new Promise<never>(() => undefined));
  const heard = listen(here);
  const next = (): Promise<FromReader> => Promise.race([heard(), failed]);
  const say = (message: ToReader): void => here.postMessage(message);
  try {
    const read = await sendAll(chunks, say, next);
    if (read === 'more' || !('ok' in read)) throw new Error('The reader spoke out of turn.');
    const answer = await put(
      read.ok
        ? {
            ...read,
            sweep: () => {
              say('next');
              return next() as Promise<PackedTrace>;
            },
          }
        : read,
    );
    return answer;
  } finally {
    here.close();
    failed.catch(() => undefined);
  }
}

/** Sends piece after piece; a file refused in its middle is not read further. */
async function sendAll(
  chunks: AsyncIterable<Uint8Array>,
  say: (message: ToReader) => void,
  next: () => Promise<FromReader>,
): Promise<FromReader> {
  try {
    for await (const chunk of chunks) {
      say(new Uint8Array(chunk));
      const answer = await next();
      if (answer !== 'more') return answer;
    }
  } catch (error) {
    say('cut off');
    throw error;
  }
  say('end');
  return next();
}

/** The words of the thread one after another. */
function listen(port: MessagePort): () => Promise<FromReader> {
  const said: FromReader[] = [];
  let waiting: ((message: FromReader) => void) | undefined;
  port.on('message', (message: FromReader) => {
    if (waiting) waiting(message);
    else said.push(message);
    waiting = undefined;
  });
  return () => {
    const [first] = said.splice(0, 1);
    if (first !== undefined) return Promise.resolve(first);
    return new Promise((resolve) => (waiting = resolve));
  };
}
