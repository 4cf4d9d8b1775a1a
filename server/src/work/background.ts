import { Piscina } from 'piscina';
import { serverFolder } from '../folder.js';

/** A thread is given up when it had nothing to do for so long, ms. */
const IDLE_MS = 30_000;

/**
 * A thread for work that takes long, so that no other request waits for it.
 *
 * @param program the built worker, as `reports/pdf.worker.js`; from source and from the build it is the same file
 */
export const background = (program: string): Piscina =>
  new Piscina({
    filename: `${serverFolder}dist/${program}`,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
    // How this process was told to find its modules is no concern of a thread.
    execArgv: [],
  });
