import { Worker } from 'node:worker_threads';
import { serverFolder } from '../folder.js';

/** The main thread shows so often that it lives, ms. */
export const BEAT_MS = 1000;
/** A request takes a moment, an engine that found no room for its log never ends: what stands still for so long does not go on, ms. */
const STILL_MS = 60_000;

/** What the thread is started with. */
export interface Watched {
  beats: SharedArrayBuffer;
  stillMs: number;
}

const program = `${serverFolder}dist/watch/watchdog.worker.js`;

/**
 * Ends a process whose main thread stands still, deaf to every signal: what was acknowledged is on the disk, and whoever started it starts
 * it again.
 *
 * @returns how to stop watching
 */
export function watch(stillMs = STILL_MS): () => void {
  const beats = new SharedArrayBuffer(4);
  const count = new Int32Array(beats);
  const worker = new Worker(program, { workerData: { beats, stillMs } satisfies Watched, execArgv: [] });
  worker.unref();
  const clock = setInterval(() => Atomics.add(count, 0, 1), Math.min(BEAT_MS, stillMs / 4)).unref();
  return () => {
    clearInterval(clock);
    void worker.terminate();
  };
}
