import type { ShopEntry } from '@kobran/core';
import { on } from 'node:events';
import type { MessagePort } from 'node:worker_threads';
import { readJobFile } from './readJobFile.js';
import type { FromReader, ToReader } from './readInBackground.js';

/** What the main thread says, to the end of the connection. */
const said = (port: MessagePort): AsyncIterable<[ToReader]> =>
  on(port, 'message', { close: ['close'] }) as AsyncIterable<[ToReader]>;

/** Pieces of the file, each asked for when the one before is read. */
async function* chunksFrom(port: MessagePort): AsyncGenerator<Uint8Array> {
  for await (const [message] of said(port)) {
    if (message === 'end') return;
    if (typeof message === 'string') throw new Error('The upload was cut off.');
    yield message;
    port.postMessage('more' satisfies FromReader);
  }
  throw new Error('Nobody waits for this file any more.');
}

/** Reads a job file in a thread of its own: see `readInBackground`. */
export default async function reader({
  port,
  shop,
}: {
  port: MessagePort;
  shop: ShopEntry[];
}): Promise<void> {
  const read = await readJobFile(chunksFrom(port), shop);
  if (!read.ok) {
    port.postMessage(read satisfies FromReader);
    return;
  }
  const { runs, ...head } = read.job;
  port.postMessage({
    ok: true,
    head,
    runs: runs.map(({ traces, ...run }) => ({ ...run, sweeps: traces.length })),
  } satisfies FromReader);
  // The main thread asks for a sweep when it has put the last one in.
  const sweeps = runs.flatMap(({ traces }) => traces);
  const asked = said(port)[Symbol.asyncIterator]();
  for (const sweep of sweeps) {
    if ((await asked.next()).done) return;
    port.postMessage(sweep satisfies FromReader, [sweep.samples.buffer as ArrayBuffer]);
  }
}
