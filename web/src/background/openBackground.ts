/** A thread of its own for one piece of work; ending it cancels what it does. */
export const openBackground = (): Worker =>
  new Worker(new URL('./background.worker.ts', import.meta.url), { type: 'module' });
